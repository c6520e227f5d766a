import { Button, Select } from '@mantine/core';
import { useViewportSize } from '@mantine/hooks';
import { useMemo, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import {
  type Eyes,
  type MapIndex,
  useDecisionTable,
  useGaps,
  useLadders,
  useMap,
  useProgress,
  useReach,
  useRoster,
  useRoutes,
} from '../api/queries';
import type { Finding } from '../api/types';
import { PageHead } from '../frame/PageHead';
import { Empty, Loaded } from '../ui/States';
import { count } from '../ui/words';
import { DecisionSheet } from './DecisionSheet';
import { GapSheet } from './GapSheet';
import { HillList } from './HillList';
import { Hillside, type Signs } from './Hillside';
import { Legend } from './Legend';
import classes from './MapPage.module.css';
import { RouteSheet } from './RouteSheet';
import { TechniqueCardDrawer } from './TechniqueCard';

const eyesOf = (text: string | null): Eyes => {
  const [kind, id] = (text ?? 'club').split(':');
  return kind === 'rank' || kind === 'student' ? { kind, id } : { kind: 'club' };
};

/** Up to this width the terraces are lists. */
const PHONE = 700;

export function MapPage() {
  const map = useMap();
  return (
    <Loaded query={map}>
      {(index) => (index.position.size > 0 ? <MapScreen map={index} /> : <BareHill />)}
    </Loaded>
  );
}

/** A map without a position: where to get the first one. */
function BareHill() {
  return (
    <>
      <PageHead title="Map" />
      <Empty title="The hill is bare">
        Positions and links go here. Take them from <Link to="/house/library">the library</Link>, or{' '}
        <Link to="/house/exchange">bring a map</Link> from a file.
      </Empty>
    </>
  );
}

function MapScreen({ map }: { map: MapIndex }) {
  const [params, setParams] = useSearchParams();
  const eyesText = params.get('eyes') ?? 'club';
  const eyes = useMemo(() => eyesOf(eyesText), [eyesText]);
  const selected = params.get('at') && map.position.has(params.get('at') ?? '') ? params.get('at') : null;
  const [listOpen, setListOpen] = useState(false);
  const [hidden, setHidden] = useState<string | null>(null);
  const viewport = useViewportSize();
  const table = useDecisionTable(selected, null);
  const ladders = useLadders();
  const roster = useRoster();
  const gaps = useGaps(eyes, eyes.kind !== 'club');
  const reach = useReach(eyes, eyes.kind === 'rank');
  const progress = useProgress(eyes.kind === 'student' ? eyes.id : null);
  const card = params.get('technique');
  const to = selected ? params.get('to') : null;
  const routes = useRoutes(eyes, selected, to);
  const [chosenRoute, setChosenRoute] = useState(0);
  const route = routes.data?.[Math.min(chosenRoute, (routes.data?.length ?? 1) - 1)]?.route;
  const walk = useMemo(
    () => (to && route ? [route.legs[0].from, ...route.legs.map((leg) => leg.to)] : undefined),
    [to, route],
  );

  const change = (name: string, value: string | null) =>
    setParams((before) => {
      const next = new URLSearchParams(before);
      if (value) next.set(name, value);
      else next.delete(name);
      return next;
    });
  const taughtAt = (technique: string) => {
    const view = ladders.data?.find((l) => l.taughtAt[technique]);
    return view?.ladder.ranks.find((rank) => rank.id === view.taughtAt[technique])?.name.toLowerCase();
  };
  const soil = useMemo(() => {
    if (eyes.kind === 'student') return progress.data?.soil as Record<string, string> | undefined;
    if (eyes.kind !== 'rank' || !reach.data) return undefined;
    return Object.fromEntries(
      [...map.position.keys()].map((id) => [id, reach.data[id] ? 'REACHED' : 'UNREACHED']),
    );
  }, [eyes, progress.data, reach.data, map]);
  const signs: Signs = {
    soil,
    worst: worstAt(gaps.data ?? []),
    hidden: hidden && soil ? new Set(Object.keys(soil).filter((id) => soil[id] === hidden)) : undefined,
  };
  const options = [
    { group: 'Club', items: [{ value: 'club', label: 'The whole club' }] },
    ...(ladders.data ?? []).map((view) => ({
      group: view.ladder.name,
      items: view.ladder.ranks.map((rank) => ({
        value: `rank:${rank.id}`,
        label: `${rank.name}, ${view.ladder.name.toLowerCase()}`,
      })),
    })),
    {
      group: 'Students',
      items: (roster.data ?? []).map((row) => ({
        value: `student:${row.student.id}`,
        label: row.student.name,
      })),
    },
  ];
  const title = options.flatMap((o) => o.items).find((o) => o.value === eyesText)?.label ?? '';
  const select = (id: string | null) => {
    setListOpen(false);
    setChosenRoute(0);
    change('at', id);
  };
  const sheet = selected !== null || listOpen;
  return (
    <>
      <PageHead title="Map">
        <Select
          aria-label="Whose eyes"
          searchable
          data={options}
          value={eyesText}
          onChange={(value) => change('eyes', value === 'club' ? null : value)}
          className={classes.eyes}
          allowDeselect={false}
        />
        <Button component={Link} to="/map/list" variant="default">
          List
        </Button>
        {eyes.kind !== 'club' && gaps.data && (
          <Button
            variant="default"
            onClick={() => {
              setListOpen(true);
              change('at', null);
            }}
          >
            {count(gaps.data.length, 'finding', 'findings')}
          </Button>
        )}
      </PageHead>
      <div className={classes.screen}>
        <div className={classes.hill}>
          {viewport.width > 0 && viewport.width <= PHONE ? (
            <HillList map={map} signs={signs} onSelect={select} />
          ) : (
            <Hillside
              map={map}
              selected={selected}
              table={table.data}
              signs={signs}
              restWidth={Math.max(760, viewport.width - 104)}
              walk={walk}
              onRoutes={() => change('to', 'any')}
              onSelect={select}
            />
          )}
          {soil && <Legend soil={soil} hidden={hidden} onHide={setHidden} />}
        </div>
        {sheet && (
          <div className={classes.side}>
            {selected !== null && to !== null ? (
              <RouteSheet
                map={map}
                from={selected}
                to={to}
                query={routes}
                chosen={chosenRoute}
                rankName={(ladder, rank) =>
                  ladders.data?.find((l) => l.ladder.id === ladder)?.ladder.ranks.find((r) => r.id === rank)
                    ?.name
                }
                onChoose={setChosenRoute}
                onTo={(next) => {
                  setChosenRoute(0);
                  change('to', next);
                }}
                onTechnique={(id) => change('technique', id)}
                onClose={() => change('to', null)}
              />
            ) : selected !== null ? (
              <Loaded query={table}>
                {(found) => (
                  <DecisionSheet
                    map={map}
                    table={found}
                    taughtAt={taughtAt}
                    onSelect={(id) => change('at', id)}
                    onTechnique={(id) => change('technique', id)}
                    onRoutes={() => change('to', 'any')}
                  />
                )}
              </Loaded>
            ) : (
              <GapSheet
                map={map}
                title={title}
                findings={gaps.data ?? []}
                onSelect={(id) => change('at', id)}
                onClose={() => setListOpen(false)}
              />
            )}
          </div>
        )}
      </div>
      <TechniqueCardDrawer id={card} onClose={() => change('technique', null)} />
    </>
  );
}

function worstAt(findings: Finding[]): Record<string, number> {
  const worst: Record<string, number> = {};
  for (const f of findings) if (f.position) worst[f.position] = Math.max(worst[f.position] ?? 0, f.severity);
  return worst;
}
