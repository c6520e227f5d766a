import { Button, Checkbox, Select } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { useStandingOn } from '../api/ladders';
import { type MapIndex, useChains } from '../api/map';
import type { Ladder, MoveOfRank, StandingOn, SyllabusVersion } from '../api/types';
import { nth } from '../ui/lists';
import { useNotices } from '../ui/Notices';
import { Loaded } from '../ui/States';
import { count, date } from '../ui/words';
import { TouchLines } from './Effect';
import { nameOf } from './nameOf';
import classes from './VersionsPage.module.css';
import { dayOf, versionInWords } from './versions';

type Props = {
  ladder: Ladder;
  versions: SyllabusVersion[];
  /** Which of them is looked at. */
  chosen: number;
  map: MapIndex;
  isHead: boolean;
  onMove: (students: string[], to: string, done: string) => Promise<void>;
  look: (students: string[], to: string) => Promise<MoveOfRank[]>;
};

/** Who stands on a version, and moving them to another one. */
export function StandingPanel({ ladder, versions, chosen, ...rest }: Props) {
  const standing = useStandingOn(ladder.id, dayOf(nth(versions, chosen)));
  return (
    <>
      <h2>Who stands on it</h2>
      <p className="quiet">{versionInWords(nth(versions, chosen))}</p>
      <Loaded query={standing}>
        {(people) =>
          people.length === 0 ? <p>Nobody.</p> : <People {...{ versions, chosen, people, ...rest }} />
        }
      </Loaded>
    </>
  );
}

/** More names than anybody ticks by hand. */
const SHOWN = 200;

type PeopleProps = Omit<Props, 'ladder'> & { people: StandingOn[] };

function People({ versions, chosen, people, map, isHead, onMove, look }: PeopleProps) {
  const others = versions.filter((_, at) => at !== chosen);
  const [ticked, setTicked] = useState<ReadonlySet<string>>(new Set());
  const [to, setTo] = useState(dayOf(nth(others, 0)) ?? '');
  const [asked, setAsked] = useState<MoveOfRank[] | null>(null);
  const chains = useChains();
  const say = useNotices();
  const all = people.filter((one) => ticked.has(one.student));
  const tick = (students: Iterable<string>) => {
    setTicked(new Set(students));
    setAsked(null);
  };
  const untouched = asked?.filter((rank) => rank.touches.length === 0) ?? [];
  const who = all.map((one) => one.student);
  const target = others.find((one) => dayOf(one) === to);
  const there = target ? `“${versionInWords(target)}”` : '';
  const see = async () => {
    try {
      setAsked(await look(who, to));
    } catch (error) {
      say.failed(error);
    }
  };
  return (
    <>
      {isHead && (
        <div className={classes.move}>
          <Checkbox
            label={`All ${people.length}`}
            checked={all.length === people.length}
            indeterminate={all.length > 0 && all.length < people.length}
            onChange={(event) => tick(event.currentTarget.checked ? people.map((one) => one.student) : [])}
          />
          {others.length > 1 && (
            <Select
              aria-label="To which version"
              data={others.map((one) => ({ value: dayOf(one) ?? '', label: versionInWords(one) }))}
              value={to}
              onChange={(day) => {
                if (day) setTo(day);
                setAsked(null);
              }}
              allowDeselect={false}
            />
          )}
          <Button disabled={all.length === 0} onClick={see}>
            {all.length === 0 ? 'Tick who moves' : `Move ${all.length} …`}
          </Button>
        </div>
      )}
      {asked && (
        <section role="alert" className={classes.asked} aria-label="What moving changes">
          <h3>
            {count(all.length, 'student', 'students')} to {there}
          </h3>
          {asked
            .filter((rank) => rank.touches.length > 0)
            .map((rank) => (
              <div key={rank.rank}>
                <strong>{rank.rank}</strong>
                <TouchLines
                  touches={rank.touches}
                  of={rank.people}
                  called={(item) => nameOf(item, map, chains.data)}
                />
              </div>
            ))}
          {untouched.length > 0 && (
            <p>
              <strong>{untouched.map((rank) => rank.rank).join(', ')}</strong>: nobody lacks more or less than
              before.
            </p>
          )}
          <p className="quiet">
            It holds while they wear the rank they wear now. No promotion, mark or decision of the past
            changes.
          </p>
          <div className={classes.acts}>
            <Button
              autoFocus
              onClick={() => {
                setAsked(null);
                void onMove(
                  who,
                  to,
                  `${count(who.length, 'student stands', 'students stand')} on ${there} now.`,
                );
              }}
            >
              Move {all.length === 1 ? nth(all, 0).name : `all ${all.length}`}
            </Button>
            <Button variant="default" onClick={() => setAsked(null)}>
              Leave them
            </Button>
          </div>
        </section>
      )}
      <ul className={classes.people} aria-label="Students">
        {people.slice(0, SHOWN).map((one) => (
          <li key={one.student}>
            {isHead && (
              <Checkbox
                aria-label={one.name}
                checked={ticked.has(one.student)}
                onChange={(event) => {
                  const next = new Set(ticked);
                  if (event.currentTarget.checked) next.add(one.student);
                  else next.delete(one.student);
                  tick(next);
                }}
              />
            )}
            <Link to={`/people/${one.student}`}>{one.name}</Link>
            <span className="quiet">
              {one.rank} since {date(one.since)}
              {one.moved && ', moved here'}
            </span>
          </li>
        ))}
      </ul>
      {people.length > SHOWN && <p className="quiet">and {people.length - SHOWN} more, by name</p>}
    </>
  );
}
