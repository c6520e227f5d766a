import { indexMap, type MapIndex } from '../api/map';
import type { Legal, Position } from '../api/types';

/** The map as a ruleset or jacket leaves it: what is not legal is gone, and control is as the ruleset gives it. */
export function underRules(map: MapIndex, legal: Legal, ruleset: string | null): MapIndex {
  const positions = new Set(legal.positions);
  const techniques = new Set(legal.techniques);
  const asRuled = (p: Position): Position =>
    ruleset && p.controlIn[ruleset] !== undefined ? { ...p, control: p.controlIn[ruleset] } : p;
  const pairs = map.data.pairs
    .filter((pair) => positions.has(pair.first.id))
    .map((pair) => ({ ...pair, first: asRuled(pair.first), second: pair.second && asRuled(pair.second) }));
  const links = map.data.links.filter(
    (l) => techniques.has(l.technique) && positions.has(l.from) && (l.to === 'TAP' || positions.has(l.to)),
  );
  return indexMap({ ...map.data, pairs, links }, map.centrality);
}

/** "jacket:NO_JACKET" names no ruleset. */
export const rulesetOf = (rules: string | null) => (rules && !rules.startsWith('jacket:') ? rules : null);
