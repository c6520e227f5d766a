import { Checkbox } from '@mantine/core';
import { createColumnHelper } from '@tanstack/react-table';
import { Link } from 'react-router';
import type { LadderView, RosterRow } from '../../api/types';
import { ago, isMet, missing, when } from '../../promote/missing';
import { Belt } from '../../ui/Belt';

import { count, date, daysBefore, isNow, plain, VERDICT } from '../../ui/words';
import classes from './PeoplePage.module.css';

/** Who is ticked, and how to tick somebody. */
export type Chosen = { ids: ReadonlySet<string>; toggle: (id: string) => void };

const column = createColumnHelper<RosterRow>();

/** What a head coach looks at; what the server can sort by, it sorts. */
export const columnsOf = (views: LadderView[], today: string, chosen: Chosen | null) => [
  column.accessor((row) => row.student.name, {
    id: 'name',
    header: 'Name',
    cell: ({ row }) => (
      <span className={classes.who}>
        {chosen && (
          <Checkbox
            aria-label={`Choose ${row.original.student.name}`}
            checked={chosen.ids.has(row.original.student.id)}
            onChange={() => chosen.toggle(row.original.student.id)}
          />
        )}
        <Link to={`/people/${row.original.student.id}`}>{row.original.student.name}</Link>
      </span>
    ),
  }),
  column.accessor('ranks', {
    id: 'rank',
    header: 'Belt',
    sortDescFirst: true,
    cell: ({ row }) => <HeldBelt row={row.original} views={views} />,
  }),
  column.accessor('lastSeen', {
    id: 'seen',
    header: 'Last seen',
    sortDescFirst: true,
    meta: { label: 'Last seen', className: classes.seen },
    cell: ({ getValue }) => {
      const seen = getValue();
      return seen ? (
        <>
          {date(seen)}
          <div className="quiet">{ago(seen, today)}</div>
        </>
      ) : (
        'never'
      );
    },
  }),
  column.display({
    id: 'stripe',
    header: 'Next stripe',
    meta: { label: 'Next stripe' },
    cell: ({ row }) => <NextStripe row={row.original} />,
  }),
  column.display({
    id: 'next',
    header: 'Next rank',
    meta: { label: 'Next rank' },
    cell: ({ row }) => <NextRank row={row.original} />,
  }),
  column.accessor('rusty', {
    header: 'Gone to weed',
    enableSorting: false,
    meta: { label: 'Gone to weed' },
    cell: ({ getValue }) => getValue() || '–',
  }),
  column.display({
    id: 'minds',
    header: 'To keep in mind',
    meta: { className: classes.minds },
    cell: ({ row }) => minds(row.original).join(', '),
  }),
];

function HeldBelt({ row, views }: { row: RosterRow; views: LadderView[] }) {
  const held = row.ranks[0];
  const ladder = views.find((v) => v.ladder.id === held?.ladder)?.ladder;
  const rank = ladder?.ranks.find((r) => r.id === held?.rank);
  return ladder && rank && held ? (
    <span className={classes.belt}>
      <Belt colours={rank.colours} stripes={held.stripes} of={rank.stripes} />
      <span>{rank.name}</span>
      {views.length > 1 && <span className={`quiet ${classes.ladder}`}>{ladder.name}</span>}
    </span>
  ) : null;
}

function NextStripe({ row }: { row: RosterRow }) {
  const stripe = row.readiness?.stripe;
  if (!stripe) return '–';
  if (stripe.met) return 'due';
  return (
    <>
      {count(stripe.need - stripe.have, 'class', 'classes')} to go
      {stripe.projection && <div className="quiet">about {date(stripe.projection.median)}</div>}
    </>
  );
}

function NextRank({ row: { readiness } }: { row: RosterRow }) {
  if (!readiness) return null;
  const about = when(readiness);
  return (
    <>
      <span className={classes[readiness.verdict.toLowerCase()]}>
        {readiness.nextRank ? VERDICT[readiness.verdict] : 'Top of the ladder'}
      </span>
      {about && <span className="quiet"> {about}</span>}
      {readiness.passedOver > 1 && (
        <div className="quiet">passed over at {count(readiness.passedOver, 'window', 'windows')}</div>
      )}
      {readiness.nextRank && !isMet(readiness) && <div className="quiet">{missing(readiness)}</div>}
    </>
  );
}

const minds = ({ student, readiness }: RosterRow) => [
  ...(student.guest && !student.guest.fallsKnown ? ['falls not known'] : []),
  ...(student.left ? [`left ${date(student.left)}`] : []),
  ...student.restrictions
    .filter((r) => isNow(r.from, r.until))
    .map((r) =>
      r.step
        ? `${plain(r.kind).toLowerCase()} (step ${r.step.number} of ${r.step.of})`
        : plain(r.kind).toLowerCase(),
    ),
  ...(student.holds.some((h) => isNow(h.from, h.ended ? daysBefore(h.ended, 1) : null)) ? ['held'] : []),
  ...(readiness?.conditions.some((c) => c.code === 'MEMBERSHIP' && !c.met) ? ['membership ran out'] : []),
];
