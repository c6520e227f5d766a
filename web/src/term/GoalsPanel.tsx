import { Button, NumberInput, Select, Switch } from '@mantine/core';
import { useWanted } from '../api/terms';
import type { Goal, PlanView, TermPlan } from '../api/types';
import { nth } from '../ui/lists';
import { count, date } from '../ui/words';
import { AddByName, NeededNext, type Subject } from './Adding';
import classes from './Panels.module.css';
import { subjectOf, weeksOf, withGoals } from './plan';
import shared from './Term.module.css';

type Props = {
  view: PlanView;
  onChange: (plan: TermPlan, says: string) => void;
  onClose: () => void;
};

/** What is to be taught: chosen from what the track needs, or by hand; must, if time allows, or the theme of a week. */
export function GoalsPanel({ view, onChange, onClose }: Props) {
  const { plan } = view;
  const wanted = useWanted(plan.id);
  const has = new Set(plan.goals.map(subjectOf));
  const nameOf = (subject: string) => view.rows.find((row) => row.subject === subject)?.name ?? subject;
  const add = (subjects: Subject[], says: string) =>
    onChange(
      {
        ...plan,
        goals: [
          ...plan.goals,
          ...subjects.map(({ technique, chain }) => ({
            technique,
            chain,
            must: true,
            week: null,
            known: false,
          })),
        ],
      },
      says,
    );
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
      <div className={shared.panelHead}>
        <h2>What is taught</h2>
        <Button size="compact-md" variant="subtle" onClick={onClose}>
          Close
        </Button>
      </div>
      <div className={shared.frame}>
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
      <AddByName has={has} onAdd={(subject) => add([subject], `${subject.name} is to be taught.`)} />
      <NeededNext
        wanted={wanted}
        has={has}
        onAdd={(subjects) =>
          add(
            subjects,
            subjects.length === 1
              ? `${nth(subjects, 0).name} is to be taught.`
              : `${count(subjects.length, 'item is', 'items are')} to be taught.`,
          )
        }
      />
    </>
  );
}
