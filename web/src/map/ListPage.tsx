import { Button, Select, TextInput } from '@mantine/core';
import { useMemo } from 'react';
import { Link, useSearchParams } from 'react-router';
import { type MapIndex, useLadders, useMap, useSession } from '../api/queries';
import type { LadderView, Technique } from '../api/types';
import { PageHead } from '../frame/PageHead';
import { fold } from '../frame/search';
import { Glyph } from '../ui/glyphs';
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
  const all = useMemo(
    () => map.data.techniques.filter((t) => !t.retired).sort((a, b) => a.name.localeCompare(b.name)),
    [map],
  );
  const get = (name: string) => params.get(name) ?? '';
  const set = (name: string) => (value: string | null) =>
    setParams((before) => {
      const next = new URLSearchParams(before);
      if (value) next.set(name, value);
      else next.delete(name);
      return next;
    });
  const wanted = fold(get('text'));
  const shown = all.filter(
    (t) =>
      (!get('family') || t.family === get('family')) &&
      (!get('stage') || starts.get(t.id)?.includes(get('stage'))) &&
      (!get('tag') || t.tags.includes(get('tag'))) &&
      [t.name, ...t.aliases.map((a) => a.text)].some((name) => fold(name).includes(wanted)),
  );
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
          <TextInput
            aria-label="Search techniques"
            placeholder="Search by any name"
            value={get('text')}
            onChange={(event) => set('text')(event.currentTarget.value)}
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
        <table className={classes.table}>
          <thead>
            <tr>
              <th scope="col">Name</th>
              <th scope="col">Also called</th>
              <th scope="col">Family</th>
              <th scope="col">Starts from</th>
              <th scope="col">Learn · master</th>
              <th scope="col">Taught at</th>
            </tr>
          </thead>
          <tbody>
            {shown.map((t) => (
              <Line key={t.id} technique={t} starts={starts.get(t.id) ?? []} views={views} />
            ))}
          </tbody>
        </table>
        {shown.length === 0 && <p>No technique is like that. Take a filter away.</p>}
      </div>
    </>
  );
}

type LineProps = { technique: Technique; starts: string[]; views: LadderView[] };

function Line({ technique, starts, views }: LineProps) {
  const ranks = views.flatMap((view) => {
    const rank = view.ladder.ranks.find((r) => r.id === view.taughtAt[technique.id]);
    return rank ? [`${rank.name.toLowerCase()} (${view.ladder.name.split(' ')[0].toLowerCase()})`] : [];
  });
  return (
    <tr>
      <th scope="row">
        <Link to={`/map/techniques/${technique.id}`}>
          <Glyph family={technique.family} group={technique.group} />
          <span>{technique.name}</span>
        </Link>
      </th>
      <td data-label="Also called">{technique.aliases.map((a) => a.text).join(', ')}</td>
      <td data-label="Family">
        {plain(technique.family)}
        {technique.group && <span className="quiet"> · {plain(technique.group).toLowerCase()}</span>}
      </td>
      <td data-label="Starts from">{starts.map((s) => plain(s).toLowerCase()).join(', ') || 'alone'}</td>
      <td data-label="Learn · master">
        {technique.learn} · {technique.master}
      </td>
      <td data-label="Taught at">{ranks.join(', ')}</td>
    </tr>
  );
}
