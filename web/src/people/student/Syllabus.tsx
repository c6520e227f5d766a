import { useState } from 'react';
import { Link } from 'react-router';
import { type MapIndex, useChains } from '../../api/map';
import type { ItemProgress, LadderView, ProgressView } from '../../api/types';
import { nameOf } from '../../rank/nameOf';
import { nth } from '../../ui/lists';
import { count, date, plain } from '../../ui/words';
import { Detail } from './Detail';
import classes from './Syllabus.module.css';
import { subjectOf } from './subjects';

const word = (standard: string | null | undefined) =>
  standard ? plain(standard).toLowerCase() : 'nothing yet';

/** How fresh it is, in words; what is not drilled yet is new, and never rusty. */
export function freshness(item: ItemProgress): string | null {
  if (item.have === 'INTRODUCED')
    return `new, met ${item.sessions === 1 ? 'once' : item.sessions === 2 ? 'twice' : 'in class'}`;
  if (!item.fading) return item.have && !item.fromBefore ? 'not logged' : null;
  return plain(item.fading).toLowerCase();
}

/** Each item of the ranks held: what is there on each side, what is asked, how fresh it is; what is open comes first. */
export function Syllabus({
  view,
  map,
  ladders,
}: {
  view: ProgressView;
  map: MapIndex;
  ladders: LadderView[];
}) {
  const chains = useChains();
  const [open, setOpen] = useState<string | null>(null);
  return view.ladders.map((ladder) => (
    <section key={ladder.ladder} aria-label="Syllabus progress">
      {ladder.until && (
        <p className="quiet">
          As it was asked of belts given until {date(ladder.until)}.{' '}
          <Link to={`/ranks/${ladder.ladder}/versions?on=${ladder.until}`}>What is asked now</Link>
        </p>
      )}
      {ladder.groups.map((group) => (
        <div key={group.name} className={classes.group}>
          <h2>
            {group.name}
            <span className="quiet">
              {' '}
              {group.met} of {group.needed}
            </span>
          </h2>
          <ul>
            {[...group.items]
              .sort((a, b) => Number(a.met) - Number(b.met))
              .map((item) => {
                const name = nameOf(item.item, map, chains.data);
                const isOpen = open === item.item.id;
                return (
                  <li key={item.item.id} className={item.met ? classes.met : undefined}>
                    <button
                      type="button"
                      className={classes.line}
                      aria-expanded={isOpen}
                      onClick={() => setOpen(isOpen ? null : item.item.id)}
                    >
                      <span className={classes.tick} aria-hidden="true">
                        {item.met ? '✓' : '○'}
                      </span>
                      <span className={classes.name}>{name}</span>
                      <span className={classes.have}>
                        <Have item={item} />
                      </span>
                      <Fresh item={item} />
                    </button>
                    {isOpen && (
                      <Detail
                        key={view.student.id}
                        student={view.student}
                        subject={{ ...subjectOf(item.subject, map, chains.data, ladders), name }}
                        item={item}
                      />
                    )}
                  </li>
                );
              })}
          </ul>
        </div>
      ))}
    </section>
  ));
}

/** "Shown", or what is there on each side and what is asked. */
function Have({ item }: { item: ItemProgress }) {
  if (item.met)
    return (
      <span className="quiet">
        {word(item.have)}
        {item.fromBefore && ', from before'}
      </span>
    );
  const uneven = item.onSides.length === 2 && nth(item.onSides, 0).have !== nth(item.onSides, 1).have;
  return (
    <>
      {uneven
        ? item.onSides.map((one) => `${one.side === 'RIGHT' ? 'R' : 'L'} ${word(one.have)}`).join(', ')
        : word(item.have)}
      <span className={classes.need}> → {word(item.item.standard)}</span>
      <span className="quiet"> {item.missing}</span>
    </>
  );
}

function Fresh({ item }: { item: ItemProgress }) {
  const fresh = freshness(item);
  if (!fresh) return <span className={classes.fresh} />;
  const isRusty = item.fading === 'RUSTY' && item.have !== 'INTRODUCED';
  return (
    <span className={`${classes.fresh} ${isRusty ? classes.rusty : 'quiet'}`}>
      {fresh}
      {item.lastPractised && `, ${date(item.lastPractised)}`}
      {item.have === 'DRILLED' && `, ${count(item.sessions, 'session', 'sessions')}`}
    </span>
  );
}
