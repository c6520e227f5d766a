import { Button } from '@mantine/core';
import { Link } from 'react-router';
import type { PlanView, TermPlan } from '../api/types';
import { Taking } from '../form/Taking';
import { useWho } from '../ui/coaches';
import { nth } from '../ui/lists';
import { date, time } from '../ui/words';
import type { Chosen } from './Field';
import classes from './Panels.module.css';
import {
  isNewIn,
  isOpen,
  keptIn,
  moved,
  nextPlace,
  placed,
  rowsIn,
  swapped,
  swapsFor,
  takenOut,
  whyIn,
} from './plan';
import shared from './Term.module.css';
import { useFree } from './useFree';

type Props = {
  view: PlanView;
  at: number;
  chosen: Chosen;
  /** Keeps a changed plan, with what is said of it; missing where nothing is changed. */
  onChange?: (plan: TermPlan, says: string, at?: number) => void;
  onClose: () => void;
};

/** One class of the term: what stands in it and why, and what can be done with it. */
export function ClassPanel({ view, at, chosen, onChange, onClose }: Props) {
  const lesson = nth(view.lessons, at);
  const rows = rowsIn(view, at);
  const mayMove = onChange && isOpen(lesson);
  const isKept = rows.length > 0 && rows.every((row) => row.kept.includes(at));
  const others = view.rows.filter((row) => !row.at.includes(at));
  const swapping = rows.find((row) => row.subject === chosen?.subject) ?? rows[0];
  const { free, saving } = useFree();
  const who = useWho();
  const swaps = swapping ? swapsFor(view, swapping, at) : [];
  return (
    <>
      <div className={shared.panelHead}>
        <h2>
          {date(lesson.date)}, {time(lesson.start)}
        </h2>
        <Button size="compact-md" variant="subtle" onClick={onClose}>
          Close
        </Button>
      </div>
      <p className="quiet">
        {lesson.coach && `${who(lesson.coach)} gives it · `}
        {lesson.used} of {lesson.minutes} min
        {lesson.over && ' · over'}
        {lesson.own && ' · made by hand: the plan leaves it alone'}
        {lesson.cancelled && ' · called off'}
      </p>
      {view.says
        .filter((said) => said.level === 'BREAKS')
        .filter(
          (said) => said.lesson === lesson.id || (chosen?.subject && said.items.includes(chosen.subject)),
        )
        .map((said) => (
          <p key={said.sentence} role="status" className={shared.breaks}>
            {said.sentence}
          </p>
        ))}
      <ul className={classes.inClass}>
        {rows.map((row) => (
          <li key={row.subject} aria-current={chosen?.subject === row.subject || undefined}>
            <strong>{row.name}</strong>
            <span>{isNewIn(row, at) ? row.first : row.again} min</span>
            <small>{whyIn(view, row, at)}</small>
            {mayMove && (
              <div>
                {([-1, 1] as const).map((step) => {
                  const to = nextPlace(view, row, at, step);
                  return (
                    <Button
                      key={step}
                      size="compact-md"
                      variant="default"
                      disabled={!to}
                      aria-label={`${step < 0 ? '← earlier' : 'later →'}: ${row.name}`}
                      onClick={() =>
                        to &&
                        onChange(
                          moved(view.plan, row.subject, lesson, to),
                          `${row.name} is met on ${date(to.date)}.`,
                          view.lessons.indexOf(to),
                        )
                      }
                    >
                      {step < 0 ? '← earlier' : 'later →'}
                    </Button>
                  );
                })}
                <Button
                  size="compact-md"
                  variant="subtle"
                  aria-label={`${row.name} not here`}
                  onClick={() =>
                    onChange(
                      takenOut(view.plan, row.subject, lesson),
                      `${row.name} is not met on ${date(lesson.date)}.`,
                    )
                  }
                >
                  not here
                </Button>
              </div>
            )}
          </li>
        ))}
      </ul>
      {rows.length === 0 && <p className="quiet">Nothing of the plan stands in it.</p>}
      {mayMove && others.length > 0 && (
        <Taking
          aria-label="Put something into this class"
          placeholder="Put in …"
          searchable
          data={others.map((row) => ({ value: row.subject, label: row.name }))}
          onTake={(subject) => {
            const row = others.find((one) => one.subject === subject);
            if (row)
              onChange(placed(view.plan, row.subject, lesson), `${row.name} is met on ${date(lesson.date)}.`);
          }}
        />
      )}
      {mayMove && swapping && swaps.length > 0 && (
        <Taking
          aria-label={`Swap ${swapping.name} with something of another class`}
          placeholder={`Swap ${swapping.name} with …`}
          searchable
          data={swaps.map(({ lesson: there, other }, n) => ({
            value: String(n),
            label: `${date(there.date)} · ${other.name}`,
          }))}
          onTake={(n) => {
            const one = swaps[Number(n)];
            if (one)
              onChange(
                swapped(view.plan, swapping.subject, lesson, one.other.subject, one.lesson),
                `${swapping.name} is met on ${date(one.lesson.date)}, ${one.other.name} here.`,
              );
          }}
        />
      )}
      <div className={shared.acts}>
        {mayMove && rows.length > 0 && (
          <Button
            variant="default"
            aria-pressed={isKept}
            onClick={() =>
              onChange(
                keptIn(view.plan, lesson, !isKept),
                isKept ? 'The planner may move it again.' : 'It is kept here.',
              )
            }
          >
            {isKept ? 'Let the planner move it' : 'Keep it here'}
          </Button>
        )}
        {onChange && lesson.own && !lesson.over && !lesson.cancelled && (
          <Button variant="default" loading={saving} onClick={() => free(lesson)}>
            Let the plan fill it
          </Button>
        )}
        <Button component={Link} to={`/mat/${lesson.id}/sheet`} variant="default">
          Class sheet
        </Button>
        {onChange && !lesson.over && (
          <>
            <Link to={`/mat/new/plan?beside=${lesson.id}`}>Split it</Link>
            <Link to={`/mat/${lesson.id}/off`}>{lesson.cancelled ? 'Called off' : 'Call it off'}</Link>
          </>
        )}
      </div>
    </>
  );
}
