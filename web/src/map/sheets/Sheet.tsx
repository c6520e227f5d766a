import type { UseQueryResult } from '@tanstack/react-query';
import { lazy, Suspense } from 'react';
import type { Eyes, MapIndex } from '../../api/map';
import type { DecisionTable, Finding, LadderView, RouteView } from '../../api/types';
import { Loaded, Waiting } from '../../ui/States';
import type { Lens } from '../LensBar';
import classes from '../MapPage.module.css';
import type { useLens } from '../useLens';
import { DecisionSheet, type Editing } from './DecisionSheet';

/** What is not on the first view comes when it is asked for. */
const EditSheet = lazy(() => import('./EditSheet').then((m) => ({ default: m.EditSheet })));
const RouteSheet = lazy(() => import('./RouteSheet').then((m) => ({ default: m.RouteSheet })));
const WorkList = lazy(() => import('./WorkList').then((m) => ({ default: m.WorkList })));
const ChangesSheet = lazy(() => import('./ChangesSheet').then((m) => ({ default: m.ChangesSheet })));
const CompareSheet = lazy(() => import('./CompareSheet').then((m) => ({ default: m.CompareSheet })));

type Props = {
  map: MapIndex;
  selected: string | null;
  to: string | null;
  table: UseQueryResult<DecisionTable>;
  routes: UseQueryResult<RouteView[]>;
  ladders: LadderView[];
  eyes: Eyes;
  lens: Lens;
  shown: ReturnType<typeof useLens>;
  title: string;
  isHead: boolean;
  gapsOpen: boolean;
  editing: Editing | null;
  mend: Finding | null;
  chosenRoute: number;
  onEdit: (what: Editing | null) => void;
  onMend: (finding: Finding | null) => void;
  onRoute: (route: number) => void;
  onSelect: (position: string | null) => void;
  onClose: () => void;
  onChange: (name: string, value: string | null) => void;
  onTechnique: (id: string) => void;
};

/** What stands beside the hill: a form, routes, a decision table, the work list, changes, a comparison, or nothing. */
export function Sheet(props: Props) {
  const sheet = which(props);
  return (
    sheet && (
      <div className={classes.side}>
        <Suspense fallback={<Waiting height="70vh" />}>{sheet}</Suspense>
      </div>
    )
  );
}

function which(props: Props) {
  const { map, selected, to, ladders, eyes, lens, shown, gapsOpen, editing, onEdit, onSelect, onChange } =
    props;
  if (editing)
    return (
      <EditSheet
        map={map}
        editing={editing}
        at={selected ?? ''}
        onDone={(position) => {
          onEdit(null);
          if (position && !selected) onSelect(position);
        }}
        onCancel={() => onEdit(null)}
      />
    );
  if (selected !== null)
    return to !== null ? <Routes {...props} from={selected} to={to} /> : <Table {...props} />;
  if (gapsOpen) return <WorkList {...props} />;
  if (lens.lens === 'changes')
    return (
      <ChangesSheet
        map={map}
        since={lens.since}
        query={shown.changes}
        canUndo={props.isHead}
        onSelect={onSelect}
        onClose={() => onChange('lens', null)}
      />
    );
  const view = ladders.find((v) => eyes.kind === 'rank' && v.ladder.ranks.some((r) => r.id === eyes.id));
  if (lens.versus && view && eyes.kind === 'rank')
    return (
      <CompareSheet
        map={map}
        view={view}
        rank={eyes.id}
        versus={lens.versus}
        soil={shown.soil}
        onSelect={onSelect}
        onClose={() => onChange('versus', null)}
      />
    );
  return null;
}

function Routes(props: Props & { from: string; to: string }) {
  const { map, from, to, routes, ladders, chosenRoute, onRoute, onChange, onTechnique } = props;
  return (
    <RouteSheet
      map={map}
      from={from}
      to={to}
      query={routes}
      chosen={chosenRoute}
      rankName={(ladder, rank) =>
        ladders.find((l) => l.ladder.id === ladder)?.ladder.ranks.find((r) => r.id === rank)?.name
      }
      onChoose={onRoute}
      onTo={(next) => {
        onRoute(0);
        onChange('to', next);
      }}
      onTechnique={onTechnique}
      onClose={() => onChange('to', null)}
    />
  );
}

function Table({ map, table, ladders, isHead, onEdit, onSelect, onTechnique, onChange }: Props) {
  const taughtAt = (technique: string) => {
    const view = ladders.find((l) => l.taughtAt[technique]);
    return view?.ladder.ranks.find((rank) => rank.id === view.taughtAt[technique])?.name.toLowerCase();
  };
  return (
    <Loaded query={table}>
      {(found) => (
        <DecisionSheet
          map={map}
          table={found}
          taughtAt={taughtAt}
          onSelect={onSelect}
          onTechnique={onTechnique}
          onRoutes={() => onChange('to', 'any')}
          onEdit={isHead ? onEdit : undefined}
        />
      )}
    </Loaded>
  );
}
