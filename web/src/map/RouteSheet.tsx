import { Select } from '@mantine/core';
import type { UseQueryResult } from '@tanstack/react-query';
import type { MapIndex } from '../api/queries';
import type { RouteView } from '../api/types';
import { Glyph } from '../ui/glyphs';
import { Loaded } from '../ui/States';
import { percent } from '../ui/words';
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
      <Loaded query={query}>
        {(found) =>
          found.length > 0 ? (
            <ol className={routes.routes}>
              {found.map((view, i) => (
                <RouteCard key={view.route.legs.map((l) => l.link).join(' ')} {...props} view={view} n={i} />
              ))}
            </ol>
          ) : (
            <p>
              No way of at most eight links leads there
              {to === 'any' ? '' : `, to ${map.position.get(to)?.name}`}.
            </p>
          )
        }
      </Loaded>
    </aside>
  );
}

function RouteCard({
  map,
  view,
  n,
  chosen,
  rankName,
  onChoose,
  onTechnique,
}: Props & { view: RouteView; n: number }) {
  const { legs, chance, weakest } = view.route;
  const rank = rankName(view.ladder, view.rank);
  return (
    <li className={n === chosen ? routes.chosen : undefined}>
      <button type="button" className={routes.head} aria-pressed={n === chosen} onClick={() => onChoose(n)}>
        <strong>{percent(chance)}</strong>
        <span>
          {legs.length === 1 ? '1 link' : `${legs.length} links`}
          {rank ? ` · all taught at ${rank.toLowerCase()}` : ' · not all taught on this ladder'}
        </span>
      </button>
      <ol className={routes.legs}>
        {legs.map((leg, i) => {
          const technique = map.technique.get(map.link.get(leg.link)?.technique ?? '');
          const reaction = leg.reaction ? map.reaction.get(leg.reaction) : undefined;
          return (
            <li key={`${leg.link} ${leg.reaction}`} value={i + 1}>
              {technique && <Glyph family={technique.family} group={technique.group} />}
              <span>
                <button
                  type="button"
                  className="plain"
                  onClick={() => technique && onTechnique(technique.id)}
                >
                  {technique?.name}
                </button>{' '}
                {reaction ? (
                  <span className="quiet">tried; {reaction.text}</span>
                ) : (
                  <span className="quiet">→ {map.position.get(leg.to)?.name ?? 'tap'}</span>
                )}
                {leg.link === weakest && legs.length > 1 && (
                  <span className={routes.weakest}> weakest link</span>
                )}
              </span>
              <span className={routes.figure}>{percent(leg.chance)}</span>
            </li>
          );
        })}
      </ol>
    </li>
  );
}
