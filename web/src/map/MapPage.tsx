import { Button, Select } from '@mantine/core';
import { useViewportSize } from '@mantine/hooks';
import { useMemo, useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { useSession } from '../api/club';
import { useLadders } from '../api/ladders';
import { type Eyes, type MapIndex, useDecisionTable, useMap, useRoutes } from '../api/map';
import { useNames } from '../api/people';
import type { Finding } from '../api/types';
import { PageHead } from '../frame/PageHead';
import { Hillside } from '../hill/Hillside';
import { hiddenBy, Legend } from '../hill/Legend';
import { nth } from '../ui/lists';
import { Empty, Loaded } from '../ui/States';
import { count } from '../ui/words';
import { eyeOptions, eyesOf } from './eyes';
import { HillList } from './HillList';
import { HillPrint } from './HillPrint';
import { type Lens, LensBar } from './LensBar';
import classes from './MapPage.module.css';
import type { Editing } from './sheets/DecisionSheet';
import { Sheet } from './sheets/Sheet';
import { useLens } from './useLens';

/** What the hill cannot have of the window, px: the rail, and a scroll bar where it is taller than the window. */
const BESIDE = 104 + 16;

/** Up to this width the terraces are lists. */
const PHONE = 700;

export function MapPage() {
  const map = useMap();
  return (
    <Loaded query={map}>
      {(index) => (index.position.size > 0 ? <MapScreen whole={index} /> : <BareHill />)}
    </Loaded>
  );
}

/** A map without a position: where to get the first one. */
function BareHill() {
  return (
    <>
      <PageHead title="Map" />
      <Empty
        title="The hill is bare"
        steps={[
          { label: 'Take it from the library', to: '/house/library' },
          { label: 'Bring a map from a file', to: '/house/exchange' },
        ]}
      >
        Positions and the links between them go here.
      </Empty>
    </>
  );
}

function MapScreen({ whole }: { whole: MapIndex }) {
  const [params, setParams] = useSearchParams();
  const navigate = useNavigate();
  const viewport = useViewportSize();
  const isPhone = viewport.width > 0 && viewport.width <= PHONE;
  const session = useSession();
  const ladders = useLadders();
  const names = useNames();
  const eyesText = params.get('eyes') ?? 'club';
  const eyes: Eyes = useMemo(() => eyesOf(eyesText), [eyesText]);
  const lens: Lens = {
    lens: params.get('lens'),
    rules: params.get('rules'),
    against: params.get('against') === 'anyone' ? 'anyone' : 'same',
    versus: eyes.kind === 'rank' ? params.get('versus') : null,
    since: params.get('since'),
  };
  const shown = useLens(whole, eyes, lens);
  const { map } = shown;
  const at = params.get('at');
  const selected = at && whole.position.has(at) ? at : null;
  const to = selected ? params.get('to') : null;
  const table = useDecisionTable(selected, shown.ruleset);
  const routes = useRoutes(eyes, selected, to, lens.rules);
  const [chosenRoute, setChosenRoute] = useState(0);
  const [gapsOpen, setGapsOpen] = useState(false);
  const [only, setOnly] = useState<string | null>(null);
  const [editing, setEditing] = useState<Editing | null>(null);
  const [mend, setMend] = useState<Finding | null>(null);
  const [lensOpen, setLensOpen] = useState(false);

  const route = routes.data?.[Math.min(chosenRoute, (routes.data?.length ?? 1) - 1)]?.route;
  const walk = useMemo(() => {
    if (mend?.mend) return mend.mend.walk.filter((id) => map.position.has(id));
    return to && route ? [nth(route.legs, 0).from, ...route.legs.map((leg) => leg.to)] : undefined;
  }, [to, route, mend, map]);

  const change = (name: string, value: string | null) =>
    setParams((before) => {
      const next = new URLSearchParams(before);
      if (value) next.set(name, value);
      else next.delete(name);
      return next;
    });
  const select = (id: string | null) => {
    setGapsOpen(false);
    setEditing(null);
    setMend(null);
    setChosenRoute(0);
    change('at', id);
  };
  const ask = (name: keyof Lens, value: string | null) => {
    setOnly(null);
    setMend(null);
    change(name, value);
  };
  const options = eyeOptions(ladders.data ?? [], names.data ?? []);
  const title = options.flatMap((o) => o.items).find((o) => o.value === eyesText)?.label ?? '';
  const isHead = session.data?.role === 'HEAD';
  /** Something but the bare hill is asked for, so the bar that says what stays. */
  const isAsked = eyes.kind !== 'club' || lens.lens !== null || lens.rules !== null;
  /** A list stands beside the whole hill, which then takes the rows that its width needs. */
  const isListed =
    !selected && (gapsOpen || editing !== null || lens.lens === 'changes' || lens.versus !== null);
  const signs = {
    soil: shown.soil,
    worst: shown.worst,
    hidden: hiddenBy(only, map.position.keys(), shown.soil, shown.worst),
  };
  return (
    <>
      <PageHead title="Map">
        <Select
          aria-label="Whose eyes"
          searchable
          data={options}
          value={eyesText}
          onChange={(value) => {
            setOnly(null);
            setMend(null);
            change('eyes', value === 'club' ? null : value);
          }}
          className={classes.eyes}
          allowDeselect={false}
        />
        <Button component={Link} to="/map/list" variant="default">
          List
        </Button>
        {(!isAsked || isPhone) && (
          <Button variant="default" aria-expanded={lensOpen} onClick={() => setLensOpen(!lensOpen)}>
            Lens
          </Button>
        )}
        {shown.asksGaps && shown.gaps.data && (
          <Button
            variant="default"
            onClick={() => {
              select(null);
              setGapsOpen(true);
            }}
          >
            {count(shown.gaps.data.filter((f) => !f.since).length, 'finding', 'findings')}
          </Button>
        )}
        {isHead && !selected && !isPhone && (
          <Button variant="default" onClick={() => setEditing({ what: 'position', pair: null })}>
            Add a position
          </Button>
        )}
      </PageHead>
      <div className={classes.screen}>
        <div className={classes.hill}>
          {isPhone ? (
            <HillList map={map} signs={signs} onSelect={select} />
          ) : (
            <Hillside
              map={map}
              selected={selected && map.position.has(selected) ? selected : null}
              table={table.data}
              signs={signs}
              restWidth={isListed && !walk ? undefined : Math.max(760, viewport.width - BESIDE)}
              walk={walk && walk.length > 1 ? walk : undefined}
              onRoutes={() => change('to', 'any')}
              onCard={(id) => navigate(`/map/techniques/${id}`)}
              onSelect={select}
            />
          )}
          {!selected && <HillPrint map={map} />}
          {((isAsked && !isPhone) || lensOpen) && (
            <LensBar map={whole} eyes={eyes} ladders={ladders.data ?? []} lens={lens} onChange={ask}>
              <Legend soil={shown.soil} worst={shown.worst} only={only} onOnly={setOnly} />
            </LensBar>
          )}
        </div>
        <Sheet
          {...{
            map: whole,
            selected,
            to,
            table,
            routes,
            ladders: ladders.data ?? [],
            eyes,
            lens,
            shown,
            title,
            isHead,
          }}
          {...{ gapsOpen, editing, mend, chosenRoute }}
          onEdit={setEditing}
          onMend={setMend}
          onRoute={setChosenRoute}
          onSelect={select}
          onClose={() => {
            setGapsOpen(false);
            setMend(null);
          }}
          onChange={change}
          onTechnique={(id) => navigate(`/map/techniques/${id}`)}
        />
      </div>
    </>
  );
}
