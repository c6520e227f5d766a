import { Button } from '@mantine/core';
import { useDebouncedValue, useIntersection } from '@mantine/hooks';
import { getCoreRowModel, useReactTable } from '@tanstack/react-table';
import { useEffect, useMemo, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { useSession } from '../../api/club';
import { useLadders } from '../../api/ladders';
import { useToday, useTracks } from '../../api/mat';
import { type Mind, type RosterWanted, readRoster, useRoster } from '../../api/people';
import type { LadderView, RosterRow, Track } from '../../api/types';
import { PageHead } from '../../frame/PageHead';
import { nth } from '../../ui/lists';
import { useNotices } from '../../ui/Notices';
import { SortedTable } from '../../ui/SortedTable';
import { Empty, Failed, Loaded, Waiting } from '../../ui/States';
import { Bulk } from './Bulk';
import { columnsOf } from './columns';
import classes from './PeoplePage.module.css';
import { RosterBar } from './RosterBar';
import { rosterSheet } from './rosterSheet';
import { Squad } from './Squad';
import { csv, download } from './sheet';
import { Weigh } from './Weigh';

const NOBODY: RosterRow[] = [];

export function PeoplePage() {
  const ladders = useLadders();
  const tracks = useTracks();
  const role = useSession().data?.role;
  const [params] = useSearchParams();
  return (
    <>
      <PageHead title="People" print={params.get('do') === null}>
        {role === 'HEAD' && (
          <Button component={Link} to="/people/new">
            Add people
          </Button>
        )}
        <Link to="/people/faults">Faults</Link>
        {role !== 'VIEWER' && <Link to="/people/promotions">Promotions</Link>}
        {role !== 'VIEWER' && <Link to="/people/incidents">Incidents</Link>}
      </PageHead>
      <Loaded query={ladders}>
        {(views) => (
          <Loaded query={tracks}>
            {(all) => <Roster views={views} tracks={all.tracks} isCoach={role !== 'VIEWER'} />}
          </Loaded>
        )}
      </Loaded>
    </>
  );
}

const SORTS = ['name', 'rank', 'seen'] as const;
const WHO = ['training', 'guests', 'left'] as const;
const oneOf = <T extends string>(all: readonly T[], value: string | null) =>
  all.find((one) => one === value) ?? nth(all, 0);

/** What the address asks for. */
const wantedBy = (params: URLSearchParams): RosterWanted => ({
  find: params.get('find') ?? '',
  who: oneOf(WHO, params.get('who')),
  sort: oneOf(SORTS, params.get('sort')),
  down: params.has('down'),
  track: params.get('track'),
  rank: params.get('rank'),
  mind: params.get('mind') as Mind | null,
});

/** The people as a table; the server sorts, searches and filters, a page comes at a time. */
function Roster({ views, tracks, isCoach }: { views: LadderView[]; tracks: Track[]; isCoach: boolean }) {
  const [params, setParams] = useSearchParams();
  const [ids, setIds] = useState<ReadonlySet<string>>(new Set());
  const typed = wantedBy(params);
  const [find] = useDebouncedValue(typed.find, 200);
  const wanted = { ...typed, find };
  const today = useToday();
  const say = useNotices();
  const roster = useRoster(wanted);
  const { ref: foot, entry } = useIntersection({ rootMargin: '800px' });
  const [body, setBody] = useState<HTMLElement | null>(null);
  const { hasNextPage, isFetchingNextPage, fetchNextPage } = roster;
  const isNear = entry?.isIntersecting ?? false;
  useEffect(() => {
    if (isNear && hasNextPage && !isFetchingNextPage) void fetchNextPage();
  }, [isNear, hasNextPage, isFetchingNextPage, fetchNextPage]);
  const rows = useMemo(() => roster.data?.pages.flatMap((page) => page.rows) ?? NOBODY, [roster.data]);
  const set = (change: Record<string, string | null>) =>
    setParams(
      (before) => {
        for (const [key, value] of Object.entries(change)) {
          if (value === null || value === '') before.delete(key);
          else before.set(key, value);
        }
        return before;
      },
      { replace: true },
    );
  const columns = useMemo(() => {
    const toggle = (id: string) =>
      setIds((before) => {
        const after = new Set(before);
        if (!after.delete(id)) after.add(id);
        return after;
      });
    return columnsOf(views, today, isCoach ? { ids, toggle } : null);
  }, [views, today, isCoach, ids]);
  const sorting = [{ id: wanted.sort, desc: wanted.down }];
  const table = useReactTable({
    data: rows,
    columns,
    state: { sorting },
    onSortingChange: (change) => {
      const [next] = typeof change === 'function' ? change(sorting) : change;
      set({ sort: !next || next.id === 'name' ? null : next.id, down: next?.desc ? 'yes' : null });
    },
    manualSorting: true,
    enableSortingRemoval: false,
    getRowId: (row) => row.student.id,
    getCoreRowModel: getCoreRowModel(),
  });
  if (!roster.data)
    return roster.error ? <Failed error={roster.error} retry={() => roster.refetch()} /> : <Waiting />;
  const total = nth(roster.data.pages, 0).total;
  const isFiltered = Boolean(wanted.find || wanted.track || wanted.rank || wanted.mind);
  if (total === 0 && !isFiltered && wanted.who === 'training')
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
  const chosen = rows.filter((row) => ids.has(row.student.id));
  const doing = isCoach ? params.get('do') : null;
  const back = () => set({ do: null });
  const asSheet = async () => {
    try {
      const listed = chosen.length > 0 ? chosen : await readRoster(wanted);
      download('people.csv', csv(rosterSheet(listed, views, tracks, today)));
    } catch (error) {
      say.failed(error);
    }
  };
  if (doing === 'weigh') return <Weigh wanted={wanted} chosen={chosen} onDone={back} />;
  if (doing === 'squad') return <Squad wanted={wanted} chosen={chosen} views={views} onDone={back} />;
  return (
    <div className={classes.body} ref={setBody}>
      <RosterBar
        wanted={typed}
        shown={rows.length}
        total={total}
        {...{ views, tracks, set, isCoach }}
        query={params.toString()}
        onView={(query) => setParams(query, { replace: true })}
      />
      {isCoach && (
        <Bulk
          chosen={chosen}
          wanted={wanted}
          total={total}
          tracks={tracks}
          onAll={() => setIds(new Set(rows.map((row) => row.student.id)))}
          onNone={() => setIds(new Set())}
          onDo={(what) => set({ do: what })}
          onSheet={asSheet}
        />
      )}
      <SortedTable table={table} className={classes.table} within={body} total={total} />
      {total === 0 && (
        <p>
          {isFiltered
            ? 'Nobody is like that.'
            : wanted.who === 'guests'
              ? 'No guest yet; they are added at the mat.'
              : 'Nobody has left.'}
        </p>
      )}
      {roster.hasNextPage && (
        <Button
          ref={foot}
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
