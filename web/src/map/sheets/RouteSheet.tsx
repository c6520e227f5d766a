import { Select } from '@mantine/core';
import type { UseQueryResult } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import type { MapIndex } from '../../api/map';
import type { RouteView } from '../../api/types';
import { Glyph } from '../../ui/glyphs';
import { nth } from '../../ui/lists';
import { Loaded } from '../../ui/States';
import { percent, signed } from '../../ui/words';
import classes from './DecisionSheet.module.css';
import routes from './RouteSheet.module.css';

type Props = {
  map: MapIndex;
  from: string;
  /** A position, or "any" for any end. */
  to: string;
  query: UseQueryResult<RouteView[]>;
  chosen: number;
  rankName: (ladder: string | null, rank: string | null) => string | undefined;
  onChoose: (route: number) => void;
  onTo: (to: string) => void;
  onTechnique: (id: string) => void;
  onClose: () => void;
};

/** The most likely walks from a plot, side by side: chance, weakest link, the rank that teaches all of it. */
export function RouteSheet(props: Props) {
  const { map, from, to, query, onTo, onClose } = props;
  const targets = [
    { value: 'any', label: 'any end' },
    ...[...map.position.values()]
      .filter((p) => !p.retired && p.id !== from)
      .map((p) => ({ value: p.id, label: p.name }))
      .sort((a, b) => a.label.localeCompare(b.label)),
  ];
  return (
    <aside className={classes.sheet} aria-label="Routes" data-sheet={`routes ${from}`}>
      <h2>Routes from {map.position.get(from)?.name}</h2>
      <button type="button" className={classes.close} aria-label="Close the routes" onClick={onClose}>
        ×
      </button>
      <Select
        label="to"
        searchable
        data={targets}
        value={to}
        allowDeselect={false}
        onChange={(value) => value && onTo(value)}
      />
      {to === 'any' && (
        <p className="quiet">One thing leading to another; what ends it by itself stands in the table.</p>
      )}
      <Loaded query={query}>
        {(found) =>
          found.length > 0 ? (
            <>
              <RouteTable {...props} found={found} />
              <RouteCard {...props} view={nth(found, Math.min(props.chosen, found.length - 1))} />
            </>
          ) : (
            <p>
              {to === 'any'
                ? 'No way of two techniques or more, and at most eight links, leads to an end from here.'
                : `No way of at most eight links leads there, to ${map.position.get(to)?.name}.`}
            </p>
          )
        }
      </Loaded>
    </aside>
  );
}

/** The routes side by side: a column for each, the chosen one drawn on the hill. */
function RouteTable({ map, found, chosen, rankName, onChoose }: Props & { found: RouteView[] }) {
  const legOf = (view: RouteView, link: string | null) =>
    link === null ? undefined : view.route.legs.find((leg) => leg.link === link);
  const line = (title: string, cell: (view: RouteView) => ReactNode) => (
    <tr>
      <th scope="row">{title}</th>
      {found.map((view, i) => (
        <td key={keyOf(view)} data-chosen={i === chosen}>
          {cell(view)}
        </td>
      ))}
    </tr>
  );
  return (
    <table className={routes.table}>
      <thead>
        <tr>
          <th scope="col">
            <span className="unseen">Route</span>
          </th>
          {found.map((view, i) => (
            <th key={keyOf(view)} scope="col" data-chosen={i === chosen}>
              <button
                type="button"
                aria-pressed={i === chosen}
                aria-label={`Route ${i + 1}`}
                onClick={() => onChoose(i)}
              >
                {i + 1}
              </button>
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {line('chance', (v) => (
          <strong>{percent(v.route.chance)}</strong>
        ))}
        {line('links', (v) => v.route.legs.filter((leg) => leg.link !== null).length)}
        {line('weakest', (v) => percent(legOf(v, v.route.weakest)?.chance ?? 0))}
        {line('failing costs', (v) => {
          const costs = legOf(v, v.route.costliest);
          return costs ? (
            <span title={`${name(map, costs.link)} stopped: ${map.position.get(costs.stopped)?.name}`}>
              {signed(-costs.cost)}
            </span>
          ) : (
            '0'
          );
        })}
        {line('all taught at', (v) => rankName(v.ladder, v.rank)?.toLowerCase() ?? '—')}
        {line('not legal in', (v) =>
          v.illegalIn.length === 0 ? (
            '—'
          ) : (
            <span title={v.illegalIn.map((r) => map.data.rulesets.find((x) => x.id === r)?.name).join(', ')}>
              {v.illegalIn.length} of {map.data.rulesets.length}
            </span>
          ),
        )}
      </tbody>
    </table>
  );
}

const keyOf = ({ route }: RouteView) => route.legs.map((leg) => `${leg.link} ${leg.reaction}`).join(' ');

const name = (map: MapIndex, link: string | null) =>
  map.technique.get(map.link.get(link ?? '')?.technique ?? '')?.name;

/** The chosen route, link by link. */
function RouteCard({ map, view, onTechnique }: Props & { view: RouteView }) {
  const { legs, weakest, costliest } = view.route;
  const illegal = view.illegalIn.map((r) => map.data.rulesets.find((x) => x.id === r)?.name);
  return (
    <section className={routes.card} aria-label="The chosen route">
      <ol className={routes.legs}>
        {legs.map((leg, i) => {
          const technique = map.technique.get(map.link.get(leg.link ?? '')?.technique ?? '');
          const reaction = leg.reaction ? map.reaction.get(leg.reaction) : undefined;
          return (
            <li key={`${leg.link} ${leg.reaction}`} value={i + 1}>
              {technique && <Glyph family={technique.family} group={technique.group} />}
              <span>
                {technique ? (
                  <>
                    <button type="button" className="plain" onClick={() => onTechnique(technique.id)}>
                      {technique.name}
                    </button>{' '}
                    {reaction ? (
                      <span className="quiet">tried; {reaction.text}</span>
                    ) : (
                      <span className="quiet">→ {map.position.get(leg.to)?.name ?? 'tap'}</span>
                    )}
                  </>
                ) : (
                  <span className="quiet">when {reaction?.text}</span>
                )}
                {leg.link !== null && leg.link === weakest && legs.length > 1 && (
                  <span className={routes.weakest}> weakest link</span>
                )}
                {leg.link !== null && leg.link === costliest && (
                  <span className="quiet">
                    {' '}
                    stopped, it leaves me at {map.position.get(leg.stopped)?.name}
                  </span>
                )}
              </span>
              <span className={routes.figure}>{percent(leg.chance)}</span>
            </li>
          );
        })}
      </ol>
      {illegal.length > 0 && <p className="quiet">Not legal in {illegal.join(', ')}.</p>}
    </section>
  );
}
