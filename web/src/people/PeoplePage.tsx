import { Button, TextInput } from '@mantine/core';
import { useDebouncedValue } from '@mantine/hooks';
import { useState } from 'react';
import { Link } from 'react-router';
import { type RosterWanted, useLadders, useRoster } from '../api/queries';
import type { LadderView, RosterRow } from '../api/types';
import { PageHead } from '../frame/PageHead';
import { Belt } from '../ui/Belt';
import { Empty, Failed, Loaded, Waiting } from '../ui/States';
import { count, date, isNow, plain, VERDICT } from '../ui/words';
import classes from './PeoplePage.module.css';

type Sort = RosterWanted['sort'];

export function PeoplePage() {
  const ladders = useLadders();
  return (
    <>
      <PageHead title="People" />
      <Loaded query={ladders}>{(views) => <Roster views={views} />}</Loaded>
    </>
  );
}

/** The people as a table; the server sorts and searches, a page comes at a time. */
function Roster({ views }: { views: LadderView[] }) {
  const [text, setText] = useState('');
  const [find] = useDebouncedValue(text, 200);
  const [sort, setSort] = useState<Sort>('name');
  const [down, setDown] = useState(false);
  const roster = useRoster({ find, sort, down });
  const turn = (by: Sort) => {
    setDown(by === sort ? !down : by !== 'name');
    setSort(by);
  };
  const head = (by: Sort, label: string) => (
    <th scope="col" aria-sort={sort === by ? (down ? 'descending' : 'ascending') : undefined}>
      <button type="button" className="plain" onClick={() => turn(by)}>
        {label}
        {sort === by ? (down ? ' ↑' : ' ↓') : ''}
      </button>
    </th>
  );
  if (!roster.data)
    return roster.error ? <Failed error={roster.error} retry={() => roster.refetch()} /> : <Waiting />;
  const rows = roster.data.pages.flatMap((page) => page.rows);
  const total = roster.data.pages[0].total;
  if (total === 0 && find === '')
    return (
      <Empty
        title="Nobody here yet"
        steps={[{ label: 'Bring people in from a spreadsheet', to: '/house/exchange' }]}
      >
        Everybody who trains here, with their belt, when they were last seen and what is next.
      </Empty>
    );
  return (
    <div className={classes.body}>
      <div className={classes.bar}>
        <TextInput
          aria-label="Search people"
          placeholder="Search by name or card"
          value={text}
          onChange={(event) => setText(event.currentTarget.value)}
          w={260}
        />
        <span className="quiet" role="status">
          {rows.length < total ? `${rows.length} of ${total}` : count(total, 'person', 'people')}
        </span>
      </div>
      <table className={classes.table}>
        <thead>
          <tr>
            {head('name', 'Name')}
            {head('rank', 'Belt')}
            {head('seen', 'Last seen')}
            <th scope="col">Next stripe</th>
            <th scope="col">Next rank</th>
            <th scope="col">Gone to weed</th>
            <th scope="col">To keep in mind</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <Line key={row.student.id} row={row} views={views} />
          ))}
        </tbody>
      </table>
      {total === 0 && <p>Nobody is called that.</p>}
      {roster.hasNextPage && (
        <Button
          variant="default"
          mt={12}
          loading={roster.isFetchingNextPage}
          onClick={() => roster.fetchNextPage()}
        >
          Show {Math.min(50, total - rows.length)} more
        </Button>
      )}
    </div>
  );
}

function Line({ row, views }: { row: RosterRow; views: LadderView[] }) {
  const { student, readiness } = row;
  const held = row.ranks[0];
  const rank = views.find((v) => v.ladder.id === held?.ladder)?.ladder.ranks.find((r) => r.id === held?.rank);
  const stripe = readiness?.stripe;
  const minds = [
    ...student.restrictions.filter((r) => isNow(r.from, r.until)).map((r) => plain(r.kind).toLowerCase()),
    ...(student.holds.some((hold) => !hold.ended) ? ['held'] : []),
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
      <td data-label="Last seen">{row.lastSeen ? date(row.lastSeen) : 'never'}</td>
      <td data-label="Next stripe">
        {stripe
          ? stripe.met
            ? 'due'
            : `${count(stripe.need - stripe.have, 'class', 'classes')} to go`
          : '–'}
        {stripe?.projection && !stripe.met && (
          <div className="quiet">about {date(stripe.projection.median)}</div>
        )}
      </td>
      <td data-label="Next rank">
        {readiness && (
          <span className={classes[readiness.verdict.toLowerCase()]}>
            {readiness.nextRank ? VERDICT[readiness.verdict] : 'Top of the ladder'}
          </span>
        )}
        {readiness?.window && readiness.verdict !== 'ELIGIBLE' && (
          <div className="quiet">about {date(readiness.window)}</div>
        )}
      </td>
      <td data-label="Gone to weed">{row.rusty || '–'}</td>
      <td className={classes.minds}>{minds.join(', ')}</td>
    </tr>
  );
}
