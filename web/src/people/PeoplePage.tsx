import { TextInput } from '@mantine/core';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { useLadders, useRoster } from '../api/queries';
import type { LadderView, RosterRow } from '../api/types';
import { PageHead } from '../frame/PageHead';
import { fold } from '../frame/search';
import { Belt } from '../ui/Belt';
import { Empty, Loaded } from '../ui/States';
import { count, date, plain, VERDICT } from '../ui/words';
import classes from './PeoplePage.module.css';

type Column = 'name' | 'belt' | 'seen' | 'stripe' | 'rank' | 'rusty';

const VERDICT_ORDER = ['ELIGIBLE', 'CANDIDATE', 'ON_TRACK', 'NOT_YET', 'HELD'];

export function PeoplePage() {
  const roster = useRoster();
  const ladders = useLadders();
  return (
    <>
      <PageHead title="People" />
      <Loaded query={roster}>
        {(rows) => <Loaded query={ladders}>{(views) => <Roster rows={rows} views={views} />}</Loaded>}
      </Loaded>
    </>
  );
}

/** How far up a row's rank stands, juniors before adults. */
const height = (row: RosterRow, views: LadderView[]) => {
  const held = row.student.ranks[0];
  const ladder = views.findIndex((v) => v.ladder.id === held?.ladder);
  const rank = views[ladder]?.ladder.ranks.findIndex((r) => r.id === held?.rank) ?? -1;
  return ladder * 1000 + rank * 10 + (held?.stripes ?? 0);
};

function Roster({ rows, views }: { rows: RosterRow[]; views: LadderView[] }) {
  const [text, setText] = useState('');
  const [by, setBy] = useState<Column>('name');
  const shown = useMemo(() => {
    const wanted = fold(text);
    const key: Record<Column, (row: RosterRow) => string | number> = {
      name: (r) => r.student.name,
      belt: (r) => -height(r, views),
      seen: (r) => (r.lastSeen ? -Date.parse(r.lastSeen) : 0),
      stripe: (r) => (r.readiness?.stripe ? r.readiness.stripe.need - r.readiness.stripe.have : 9999),
      rank: (r) => VERDICT_ORDER.indexOf(r.readiness?.verdict ?? 'HELD'),
      rusty: (r) => -r.rusty,
    };
    return rows
      .filter((row) => fold(`${row.student.name} ${row.student.calledBy}`).includes(wanted))
      .sort((a, b) => {
        const [x, y] = [key[by](a), key[by](b)];
        return x < y ? -1 : x > y ? 1 : a.student.name.localeCompare(b.student.name);
      });
  }, [rows, views, text, by]);
  const head = (column: Column, label: string) => (
    <th scope="col" aria-sort={by === column ? 'ascending' : undefined}>
      <button type="button" className="plain" onClick={() => setBy(column)}>
        {label}
        {by === column ? ' ↓' : ''}
      </button>
    </th>
  );
  if (rows.length === 0)
    return (
      <Empty title="Nobody here yet">
        Bring people in from a spreadsheet: <Link to="/house/exchange">House, import and export</Link>.
      </Empty>
    );
  return (
    <div className={classes.body}>
      <TextInput
        aria-label="Search people"
        placeholder="Search people"
        value={text}
        onChange={(event) => setText(event.currentTarget.value)}
        w={260}
        mb={10}
      />
      <table className={classes.table}>
        <thead>
          <tr>
            {head('name', 'Name')}
            {head('belt', 'Belt')}
            {head('seen', 'Last seen')}
            {head('stripe', 'Next stripe')}
            {head('rank', 'Next rank')}
            {head('rusty', 'Gone to weed')}
            <th scope="col">To keep in mind</th>
          </tr>
        </thead>
        <tbody>
          {shown.map((row) => (
            <Line key={row.student.id} row={row} views={views} />
          ))}
        </tbody>
      </table>
      {shown.length === 0 && <p>Nobody is called that.</p>}
    </div>
  );
}

function Line({ row, views }: { row: RosterRow; views: LadderView[] }) {
  const { student, readiness } = row;
  const held = student.ranks[0];
  const rank = views.find((v) => v.ladder.id === held?.ladder)?.ladder.ranks.find((r) => r.id === held?.rank);
  const stripe = readiness?.stripe;
  const minds = [
    ...student.restrictions.map((r) => plain(r.kind).toLowerCase()),
    ...(student.holds.length ? ['held'] : []),
    ...(readiness?.conditions.some((c) => c.code === 'MEMBERSHIP' && !c.met) ? ['membership ran out'] : []),
  ];
  return (
    <tr>
      <th scope="row">
        <Link to={`/people/${student.id}`}>{student.name}</Link>
      </th>
      <td>
        {rank && (
          <span className={classes.belt}>
            <Belt colours={rank.colours} stripes={held.stripes} of={rank.stripes} />
            {rank.name}
          </span>
        )}
      </td>
      <td>{row.lastSeen ? date(row.lastSeen) : 'never'}</td>
      <td>
        {stripe
          ? stripe.met
            ? 'due'
            : `${count(stripe.need - stripe.have, 'class', 'classes')} to go`
          : '–'}
        {stripe?.projection && !stripe.met && (
          <div className="quiet">about {date(stripe.projection.median)}</div>
        )}
      </td>
      <td>
        {readiness && (
          <span className={classes[readiness.verdict.toLowerCase()]}>
            {readiness.nextRank ? VERDICT[readiness.verdict] : 'Top of the ladder'}
          </span>
        )}
        {readiness?.window && readiness.verdict !== 'ELIGIBLE' && (
          <div className="quiet">about {date(readiness.window)}</div>
        )}
      </td>
      <td>{row.rusty || '–'}</td>
      <td className={classes.minds}>{minds.join(', ')}</td>
    </tr>
  );
}
