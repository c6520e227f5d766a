import { Button, TextInput } from '@mantine/core';
import { useState } from 'react';
import { useToday } from '../../api/mat';
import type { RosterWanted } from '../../api/people';
import type { LadderView, RosterRow } from '../../api/types';
import { ageOn } from '../../promote/missing';
import { PrintFoot } from '../../ui/PrintFoot';
import { Scroll } from '../../ui/Scroll';
import { Loaded } from '../../ui/States';
import { count, date } from '../../ui/words';
import classes from './Squad.module.css';
import { csv, download } from './sheet';
import { useListed } from './useListed';

type Props = { wanted: RosterWanted; chosen: RosterRow[]; views: LadderView[]; onDone: () => void };

/** A list for an outside event: names, ages on its day, weights, ranks, memberships. Nothing about health, no notes. */
export function Squad({ wanted, chosen, views, onDone }: Props) {
  const listed = useListed(wanted, chosen);
  return <Loaded query={listed}>{(rows) => <Sheet rows={rows} views={views} onDone={onDone} />}</Loaded>;
}

function Sheet({ rows, views, onDone }: { rows: RosterRow[]; views: LadderView[]; onDone: () => void }) {
  const today = useToday();
  const [event, setEvent] = useState('');
  const [day, setDay] = useState(today);
  const lines = rows.map((row) => line(row, views, day || today));
  const wanting = lines.filter((one) => one.lacks.length > 0);
  const sheet = () =>
    download(
      `${event.trim() || 'squad'}.csv`,
      csv([
        ['Name', 'Born', 'Age on the day', 'Weight (kg)', 'Weighed', 'Rank', 'Member until'],
        ...lines.map((one) => [one.name, one.born, one.age, one.kg, one.weighed, one.ranks, one.memberUntil]),
      ]),
    );
  return (
    <Scroll label="Squad list" className={classes.body}>
      <div className={classes.head} data-no-print>
        <TextInput
          aria-label="Event"
          placeholder="Which event?"
          value={event}
          onChange={(change) => setEvent(change.currentTarget.value)}
        />
        <TextInput
          type="date"
          aria-label="Day of the event"
          value={day}
          onChange={(change) => setDay(change.currentTarget.value)}
        />
        <Button onClick={() => window.print()}>Print, or save as PDF</Button>
        <Button variant="default" onClick={sheet}>
          As a spreadsheet
        </Button>
        <Button variant="subtle" onClick={onDone}>
          Back to people
        </Button>
      </div>
      <article className={classes.sheet}>
        <h2>{event.trim() || 'Squad list'}</h2>
        <p>
          {day && date(day)} · {count(lines.length, 'person', 'people')}
        </p>
        <table>
          <thead>
            <tr>
              <th scope="col">Name</th>
              <th scope="col">Born</th>
              <th scope="col">Age then</th>
              <th scope="col">Weight</th>
              <th scope="col">Weighed</th>
              <th scope="col">Rank</th>
              <th scope="col">Member until</th>
            </tr>
          </thead>
          <tbody>
            {lines.map((one) => (
              <tr key={one.id}>
                <th scope="row">{one.name}</th>
                <td>{one.born ?? '–'}</td>
                <td>{one.age ?? '–'}</td>
                <td>{one.kg === null ? '–' : `${one.kg} kg`}</td>
                <td>{one.weighed ? date(one.weighed) : '–'}</td>
                <td>{one.ranks || '–'}</td>
                <td>{one.memberUntil ? date(one.memberUntil) : '–'}</td>
              </tr>
            ))}
          </tbody>
        </table>
        {wanting.length > 0 && (
          <div data-no-print className={classes.wanting}>
            <h3>To see to before the day</h3>
            <ul>
              {wanting.map((one) => (
                <li key={one.id}>
                  {one.name}: {one.lacks.join(', ')}
                </li>
              ))}
            </ul>
          </div>
        )}
        <PrintFoot />
      </article>
    </Scroll>
  );
}

/** A weight older than this says little on the day. */
const OLD_WEIGHT_DAYS = 60;

function line({ student, ranks }: RosterRow, views: LadderView[], day: string) {
  const named = ranks.flatMap((held) => {
    const rank = views.find((v) => v.ladder.id === held.ladder)?.ladder.ranks.find((r) => r.id === held.rank);
    return rank?.name ?? [];
  });
  const old =
    student.weighed !== null && Date.parse(day) - Date.parse(student.weighed) > OLD_WEIGHT_DAYS * 86_400_000;
  return {
    id: student.id,
    name: student.name,
    born: student.born,
    age: student.born ? ageOn(student.born, day) : null,
    kg: student.weightKg,
    weighed: student.weighed,
    ranks: named.join(', '),
    memberUntil: student.memberUntil,
    lacks: [
      ...(student.born ? [] : ['birth date not known']),
      ...(student.weightKg === null ? ['not weighed'] : old ? ['weight is older than two months'] : []),
      ...(student.memberUntil && student.memberUntil < day ? ['membership runs out before'] : []),
    ],
  };
}
