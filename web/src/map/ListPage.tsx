import { Button, Select } from '@mantine/core';
import {
  createColumnHelper,
  getCoreRowModel,
  getSortedRowModel,
  type SortingState,
  useReactTable,
} from '@tanstack/react-table';
import { useMemo, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { useSession } from '../api/club';
import { useLadders } from '../api/ladders';
import { type MapIndex, useMap } from '../api/map';
import type { LadderView, Technique } from '../api/types';
import { SearchInput } from '../form/SearchInput';
import { PageHead } from '../frame/PageHead';
import { fold } from '../frame/search';
import { Glyph } from '../ui/glyphs';
import { nth } from '../ui/lists';
import { SortedTable } from '../ui/SortedTable';
import { Loaded } from '../ui/States';
import { count, FAMILIES, plain, STAGES } from '../ui/words';
import classes from './ListPage.module.css';

/** Every technique of the map as a table: by name, family, stage, tag. */
export function ListPage() {
  const map = useMap();
  const ladders = useLadders();
  return (
    <Loaded query={map}>
      {(index) => <Loaded query={ladders}>{(views) => <TechniqueList map={index} views={views} />}</Loaded>}
    </Loaded>
  );
}

/** Stages from which each technique starts, top of the hill first. */
function startsOf(map: MapIndex): Map<string, string[]> {
  const starts = new Map<string, Set<string>>();
  for (const link of map.data.links) {
    if (link.retired) continue;
    const stages = starts.get(link.technique) ?? new Set<string>();
    starts.set(link.technique, stages.add(map.stageOf(link.from)));
  }
  return new Map([...starts].map(([id, stages]) => [id, STAGES.filter((s) => stages.has(s))]));
}

function TechniqueList({ map, views }: { map: MapIndex; views: LadderView[] }) {
  const [params, setParams] = useSearchParams();
  const session = useSession();
  const starts = useMemo(() => startsOf(map), [map]);
  const all = useMemo(() => map.data.techniques.filter((t) => !t.retired), [map]);
  const get = (name: string) => params.get(name) ?? '';
  const set = (name: string) => (value: string | null) =>
    setParams((before) => {
      const next = new URLSearchParams(before);
      if (value) next.set(name, value);
      else next.delete(name);
      return next;
    });
  const [text, family, stage, tag] = [fold(get('text')), get('family'), get('stage'), get('tag')];
  const shown = useMemo(
    () =>
      all.filter(
        (t) =>
          (!family || t.family === family) &&
          (!stage || starts.get(t.id)?.includes(stage)) &&
          (!tag || t.tags.includes(tag)) &&
          [t.name, ...t.aliases.map((a) => a.text)].some((name) => fold(name).includes(text)),
      ),
    [all, starts, text, family, stage, tag],
  );
  const [sorting, setSorting] = useState<SortingState>([{ id: 'name', desc: false }]);
  const columns = useMemo(() => columnsOf(starts, views), [starts, views]);
  const table = useReactTable({
    data: shown,
    columns,
    state: { sorting },
    onSortingChange: setSorting,
    enableSortingRemoval: false,
    getRowId: (technique) => technique.id,
    getCoreRowModel: getCoreRowModel(),
    getSortedRowModel: getSortedRowModel(),
  });
  const tags = [...new Set(all.flatMap((t) => t.tags))].sort();
  const pick = (name: string, label: string, data: { value: string; label: string }[]) => (
    <Select
      aria-label={label}
      placeholder={label}
      data={data}
      value={get(name) || null}
      onChange={set(name)}
      clearable
      w={190}
    />
  );
  return (
    <>
      <PageHead title="Techniques">
        <Button component={Link} to="/map" variant="default">
          The hillside
        </Button>
        {session.data?.role === 'HEAD' && (
          <Button component={Link} to="/map/techniques/new" variant="default">
            Add a technique
          </Button>
        )}
        <Button variant="default" onClick={() => window.print()} data-no-print>
          Print
        </Button>
      </PageHead>
      <div className={classes.body}>
        <div className={classes.filters}>
          <SearchInput
            aria-label="Search techniques"
            placeholder="Search by any name"
            value={get('text')}
            onChange={(text) => set('text')(text)}
            w={240}
          />
          {pick(
            'family',
            'Every family',
            FAMILIES.map((f) => ({ value: f, label: plain(f) })),
          )}
          {pick(
            'stage',
            'From every stage',
            STAGES.map((s) => ({ value: s, label: plain(s) })),
          )}
          {pick(
            'tag',
            'Every tag',
            tags.map((t) => ({ value: t, label: t.replaceAll('-', ' ') })),
          )}
          <span className="quiet">{count(shown.length, 'technique', 'techniques')}</span>
        </div>
        <SortedTable table={table} className={classes.table} />
        {shown.length === 0 && <p>No technique is like that. Take a filter away.</p>}
      </div>
    </>
  );
}

const column = createColumnHelper<Technique>();

/** The first rank of each ladder that teaches a technique. */
const taughtAt = (views: LadderView[], id: string) =>
  views.flatMap((view) => {
    const rank = view.ladder.ranks.find((r) => r.id === view.taughtAt[id]);
    return rank ? [`${rank.name.toLowerCase()} (${nth(view.ladder.name.split(' '), 0).toLowerCase()})`] : [];
  });

/** How far up the first ladder a technique is taught; one that is not taught comes last. */
const rankOf = (views: LadderView[], id: string) => {
  const at = views[0]?.ladder.ranks.findIndex((r) => r.id === nth(views, 0).taughtAt[id]) ?? -1;
  return at < 0 ? Number.MAX_SAFE_INTEGER : at;
};

const columnsOf = (starts: Map<string, string[]>, views: LadderView[]) => [
  column.accessor('name', {
    header: 'Name',
    sortingFn: (a, b) => a.original.name.localeCompare(b.original.name),
    cell: ({ row: { original: technique } }) => (
      <Link to={`/map/techniques/${technique.id}`}>
        <Glyph family={technique.family} group={technique.group} />
        <span>{technique.name}</span>
      </Link>
    ),
  }),
  column.display({
    id: 'aliases',
    header: 'Also called',
    meta: { label: 'Also called' },
    cell: ({ row }) => row.original.aliases.map((a) => a.text).join(', '),
  }),
  column.accessor((technique) => FAMILIES.indexOf(technique.family), {
    id: 'family',
    header: 'Family',
    meta: { label: 'Family' },
    cell: ({ row: { original: technique } }) => (
      <>
        {plain(technique.family)}
        {technique.group && <span className="quiet"> · {plain(technique.group).toLowerCase()}</span>}
      </>
    ),
  }),
  column.display({
    id: 'starts',
    header: 'Starts from',
    meta: { label: 'Starts from' },
    cell: ({ row }) =>
      (starts.get(row.original.id) ?? []).map((s) => plain(s).toLowerCase()).join(', ') || 'alone',
  }),
  column.accessor((technique) => technique.learn * 10 + technique.master, {
    id: 'learn',
    header: 'Learn · master',
    sortDescFirst: false,
    meta: { label: 'Learn · master' },
    cell: ({ row }) => `${row.original.learn} · ${row.original.master}`,
  }),
  column.accessor((technique) => rankOf(views, technique.id), {
    id: 'taught',
    header: 'Taught at',
    sortDescFirst: false,
    meta: { label: 'Taught at' },
    cell: ({ row }) => taughtAt(views, row.original.id).join(', '),
  }),
];
