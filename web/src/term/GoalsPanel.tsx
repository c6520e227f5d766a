import { Button, NumberInput, Select, Switch } from '@mantine/core';
import { useState } from 'react';
import { useChains, useMap } from '../api/queries';
import { useWanted } from '../api/terms';
import type { Goal, PlanView, TermPlan } from '../api/types';
import { techniqueOptions } from '../map/edit/pickers';
import { Loaded } from '../ui/States';
import { count, date } from '../ui/words';
import { subjectOf, weeksOf, withGoals } from './plan';
import classes from './Term.module.css';

type Props = {
  view: PlanView;
  onChange: (plan: TermPlan, says: string) => void;
  onClose: () => void;
};

const SHOWN = 12;

/** What is to be taught: chosen from what the track needs, or by hand; must, if time allows, or the theme of a week. */
export function GoalsPanel({ view, onChange, onClose }: Props) {
  const { plan } = view;
  const wanted = useWanted(plan.id);
  const map = useMap();
  const chains = useChains();
  const [all, setAll] = useState(false);
  const has = new Set(plan.goals.map(subjectOf));
  const nameOf = (subject: string) => view.rows.find((row) => row.subject === subject)?.name ?? subject;
  const add = (goal: Goal, name: string) =>
    onChange({ ...plan, goals: [...plan.goals, goal] }, `${name} is to be taught.`);
  const change = (goal: Goal, part: Partial<Goal>, says: string) =>
    onChange(
      {
        ...plan,
        goals: plan.goals.map((one) => (subjectOf(one) === subjectOf(goal) ? { ...one, ...part } : one)),
      },
      says,
    );
  const weeks = weeksOf(view).map((week, n) => ({ value: week, label: `week ${n + 1}, ${date(week)}` }));
  return (
    <>
      <div className={classes.panelHead}>
        <h2>What is taught</h2>
        <Button size="compact-md" variant="subtle" onClick={onClose}>
          Close
        </Button>
      </div>
      <div className={classes.frame}>
        <NumberInput
          label="New a class"
          min={1}
          max={6}
          value={plan.fresh}
          onChange={(fresh) =>
            Number(fresh) !== plan.fresh &&
            onChange(
              { ...plan, fresh: Math.min(6, Math.max(1, Number(fresh))) },
              'New items a class are set.',
            )
          }
        />
        <NumberInput
          label="Technique"
          suffix={plan.minutes === 0 ? ' : half of it' : ' min'}
          min={0}
          max={240}
          step={5}
          value={plan.minutes}
          onChange={(minutes) =>
            Number(minutes) !== plan.minutes &&
            onChange({ ...plan, minutes: Number(minutes) }, 'Minutes of technique are set.')
          }
        />
      </div>
      <ul className={classes.goals} aria-label="Goals">
        {plan.goals.map((goal) => {
          const name = nameOf(subjectOf(goal));
          return (
            <li key={subjectOf(goal)}>
              <strong>{name}</strong>
              <Switch
                label={goal.must ? 'must' : 'if time allows'}
                aria-label={`${name} must be there`}
                checked={goal.must}
                onChange={(event) =>
                  change(
                    goal,
                    { must: event.currentTarget.checked },
                    `${name} ${event.currentTarget.checked ? 'has to be there' : 'comes if time allows'}.`,
                  )
                }
              />
              <Select
                aria-label={`Theme week of ${name}`}
                placeholder="theme of …"
                clearable
                size="xs"
                data={weeks}
                value={goal.week}
                onChange={(week) =>
                  change(goal, { week }, week ? `${name} is a theme.` : `${name} is no theme.`)
                }
              />
              <Button
                size="compact-sm"
                variant="subtle"
                aria-label={`Drop ${name}`}
                onClick={() =>
                  onChange(
                    withGoals(
                      plan,
                      plan.goals.filter((one) => one !== goal),
                    ),
                    `${name} is dropped.`,
                  )
                }
              >
                drop
              </Button>
            </li>
          );
        })}
      </ul>
      <Select
        aria-label="Add a technique or a chain"
        placeholder="Add by name"
        searchable
        limit={60}
        data={[
          {
            group: 'Techniques',
            items: ((map.data ? techniqueOptions(map.data) : []) as { value: string; label: string }[])
              .filter(({ value }) => !has.has(value))
              .map(({ value, label }) => ({ value: `t:${value}`, label })),
          },
          {
            group: 'Chains',
            items: (chains.data ?? [])
              .filter(({ chain }) => !has.has(chain.id))
              .map(({ chain }) => ({ value: `c:${chain.id}`, label: chain.name })),
          },
        ]}
        value={null}
        onChange={(value, option) => {
          if (!value || !option) return;
          const id = value.slice(2);
          const isChain = value.startsWith('c:');
          add(
            {
              technique: isChain ? null : id,
              chain: isChain ? id : null,
              must: true,
              week: null,
              known: false,
            },
            option.label,
          );
        }}
      />
      <h3>What they need next</h3>
      <Loaded query={wanted}>
        {(needs) => {
          const left = needs.filter((one) => !has.has(one.technique ?? one.chain ?? ''));
          if (left.length === 0)
            return (
              <p className="quiet">
                {needs.length === 0
                  ? 'No rank asks this track for anything it lacks. Add techniques and chains by name.'
                  : 'All that the ranks of this track ask for is in the plan or held.'}
              </p>
            );
          const top = left.slice(0, SHOWN);
          return (
            <>
              <Button
                variant="default"
                onClick={() =>
                  onChange(
                    {
                      ...plan,
                      goals: [
                        ...plan.goals,
                        ...top.map(({ technique, chain }) => ({
                          technique,
                          chain,
                          must: true,
                          week: null,
                          known: false,
                        })),
                      ],
                    },
                    `${count(top.length, 'item is', 'items are')} to be taught.`,
                  )
                }
              >
                Take the first {top.length}
              </Button>
              <ul className={classes.goals} aria-label="Needed next">
                {(all ? left : top).map((one) => (
                  <li key={one.technique ?? one.chain}>
                    <strong>{one.name}</strong>
                    <small>
                      {one.need > 0 && `${one.need} need it`}
                      {one.need > 0 && one.rusty > 0 && ', '}
                      {one.rusty > 0 && `rusty in ${one.rusty}`}
                    </small>
                    <Button
                      size="compact-sm"
                      variant="default"
                      aria-label={`add ${one.name}`}
                      onClick={() =>
                        add(
                          {
                            technique: one.technique,
                            chain: one.chain,
                            must: true,
                            week: null,
                            known: false,
                          },
                          one.name,
                        )
                      }
                    >
                      add
                    </Button>
                  </li>
                ))}
              </ul>
              {!all && left.length > SHOWN && (
                <Button size="compact-md" variant="subtle" onClick={() => setAll(true)}>
                  {left.length - SHOWN} more
                </Button>
              )}
            </>
          );
        }}
      </Loaded>
    </>
  );
}
