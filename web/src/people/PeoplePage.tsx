import { Button, SegmentedControl, TextInput } from '@mantine/core';
import { useDebouncedValue } from '@mantine/hooks';
import { createColumnHelper, getCoreRowModel, type SortingState, useReactTable } from '@tanstack/react-table';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { type RosterWanted, useLadders, useRoster, useSession } from '../api/queries';
import type { LadderView, RosterRow } from '../api/types';
import { PageHead } from '../frame/PageHead';
import { Belt } from '../ui/Belt';
import { SortedTable } from '../ui/SortedTable';
import { Empty, Failed, Loaded, Waiting } from '../ui/States';
import { count, date, daysBefore, isNow, plain, VERDICT } from '../ui/words';
import classes from './PeoplePage.module.css';

type Sort = RosterWanted['sort'];

const NOBODY: RosterRow[] = [];

export function PeoplePage() {
  const ladders = useLadders();
  const isHead = useSession().data?.role === 'HEAD';
  return (
    <>
      <PageHead title="People">
        {isHead && (
          <Button component={Link} to="/people/new">
            Add people
          </Button>
        )}
      </PageHead>
      <Loaded query={ladders}>{(views) => <Roster views={views} />}</Loaded>
    </>
  );
}

/** The people as a table; the server sorts and searches, a page comes at a time. */
function Roster({ views }: { views: LadderView[] }) {
  const [text, setText] = useState('');
  const [find] = useDebouncedValue(text, 200);
  const [who, setWho] = useState<RosterWanted['who']>('training');
  const [sorting, setSorting] = useState<SortingState>([{ id: 'name', desc: false }]);
  const { id: sort, desc: down } = sorting[0];
  const roster = useRoster({ find, who, sort: sort as Sort, down });
  const rows = useMemo(() => roster.data?.pages.flatMap((page) => page.rows) ?? NOBODY, [roster.data]);
  const columns = useMemo(() => columnsOf(views), [views]);
  const table = useReactTable({
    data: rows,
    columns,
    state: { sorting },
    onSortingChange: setSorting,
    manualSorting: true,
    enableSortingRemoval: false,
    getRowId: (row) => row.student.id,
    getCoreRowModel: getCoreRowModel(),
  });
  if (!roster.data)
    return roster.error ? <Failed error={roster.error} retry={() => roster.refetch()} /> : <Waiting />;
  const total = roster.data.pages[0].total;
  if (total === 0 && find === '' && who === 'training')
    return (
      <Empty
        title="Nobody here yet"
        steps={[
          { label: 'Add the first people', to: '/people/new' },
          { label: 'Bring them in from a spreadsheet', to: '/house/exchange' },
        ]}
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
        <SegmentedControl
          aria-label="Whom to list"
          value={who}
          onChange={(value) => setWho(value as RosterWanted['who'])}
          data={[
            { value: 'training', label: 'Training' },
            { value: 'guests', label: 'Guests' },
            { value: 'left', label: 'Left' },
          ]}
        />
        <span className="quiet" role="status">
          {rows.length < total ? `${rows.length} of ${total}` : count(total, 'person', 'people')}
        </span>
      </div>
      <SortedTable table={table} className={classes.table} />
      {total === 0 && (
        <p>
          {find
            ? 'Nobody is called that.'
            : who === 'guests'
              ? 'No guest yet; they are added at the mat.'
              : 'Nobody has left.'}
        </p>
      )}
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

const column = createColumnHelper<RosterRow>();

/** What a head coach looks at; what the server can sort by, it sorts. */
const columnsOf = (views: LadderView[]) => [
  column.accessor((row) => row.student.name, {
    id: 'name',
    header: 'Name',
    cell: ({ row }) => <Link to={`/people/${row.original.student.id}`}>{row.original.student.name}</Link>,
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
      return seen ? date(seen) : 'never';
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
  const rank = views.find((v) => v.ladder.id === held?.ladder)?.ladder.ranks.find((r) => r.id === held?.rank);
  return rank ? (
    <span className={classes.belt}>
      <Belt colours={rank.colours} stripes={held.stripes} of={rank.stripes} />
      {rank.name}
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
  return (
    <>
      <span className={classes[readiness.verdict.toLowerCase()]}>
        {readiness.nextRank ? VERDICT[readiness.verdict] : 'Top of the ladder'}
      </span>
      {readiness.passedOver > 1 && (
        <div className="quiet">passed over at {count(readiness.passedOver, 'window', 'windows')}</div>
      )}
      {readiness.window && readiness.verdict !== 'ELIGIBLE' && (
        <div className="quiet">about {date(readiness.window)}</div>
      )}
    </>
  );
}

const minds = ({ student, readiness }: RosterRow) => [
  ...(student.guest && !student.guest.fallsKnown ? ['falls not known'] : []),
  ...(student.left ? [`left ${date(student.left)}`] : []),
  ...student.restrictions.filter((r) => isNow(r.from, r.until)).map((r) => plain(r.kind).toLowerCase()),
  ...(student.holds.some((h) => isNow(h.from, h.ended ? daysBefore(h.ended, 1) : null)) ? ['held'] : []),
  ...(readiness?.conditions.some((c) => c.code === 'MEMBERSHIP' && !c.met) ? ['membership ran out'] : []),
];
