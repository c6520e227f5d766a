import { useMemo } from 'react';
import { type Eyes, type MapIndex, useChanges, useEvidence, useGaps, useLegal, useReach } from '../api/map';
import { useProgress } from '../api/people';
import type { Finding } from '../api/types';
import { changedSoil, comparedSoil, reachedSoil, type Soils, triedSoil } from '../hill/soil';
import type { Lens } from './LensBar';
import { rulesetOf, underRules } from './rules';

const NOBODY: Eyes = { kind: 'club' };

/** What the chosen eyes, lens and rules show: the map they leave, soil, stones, findings and changes. */
export function useLens(whole: MapIndex, eyes: Eyes, lens: Lens) {
  const legal = useLegal(lens.rules);
  const ruleset = rulesetOf(lens.rules);
  const map = useMemo(
    () => (legal.data ? underRules(whole, legal.data, ruleset) : whole),
    [whole, legal.data, ruleset],
  );
  const terms = useMemo(() => ({ rules: lens.rules, against: lens.against }), [lens.rules, lens.against]);
  const asksGaps = lens.lens === null ? eyes.kind !== 'club' && !lens.versus : lens.lens === 'gaps';
  const gaps = useGaps(eyes, asksGaps, terms);
  const other = useMemo<Eyes>(
    () => (lens.versus ? { kind: 'rank', id: lens.versus } : NOBODY),
    [lens.versus],
  );
  const isPlain = lens.lens === null;
  const reach = useReach(eyes, isPlain && eyes.kind === 'rank', terms);
  const otherReach = useReach(other, isPlain && lens.versus !== null, terms);
  const progress = useProgress(isPlain && eyes.kind === 'student' ? eyes.id : null);
  const evidence = useEvidence(lens.lens === 'evidence');
  const changes = useChanges(lens.lens === 'changes' ? lens.since : null);

  const soil = useMemo<Soils | undefined>(() => {
    if (lens.lens === 'evidence') return evidence.data && triedSoil(map, evidence.data);
    if (lens.lens === 'changes') return changes.data && changedSoil(map, changes.data);
    if (!isPlain) return undefined;
    if (eyes.kind === 'student') return progress.data?.soil as Soils | undefined;
    if (eyes.kind !== 'rank' || !reach.data) return undefined;
    if (!lens.versus) return reachedSoil(map, reach.data);
    return otherReach.data && comparedSoil(map, reach.data, otherReach.data);
  }, [
    lens.lens,
    lens.versus,
    isPlain,
    eyes.kind,
    map,
    evidence.data,
    changes.data,
    progress.data,
    reach.data,
    otherReach.data,
  ]);
  const worst = useMemo(() => (asksGaps ? worstAt(gaps.data ?? []) : {}), [asksGaps, gaps.data]);
  return { map, ruleset, gaps, asksGaps, soil, worst, changes };
}

function worstAt(findings: Finding[]): Record<string, number> {
  const worst: Record<string, number> = {};
  for (const f of findings) if (f.position) worst[f.position] = Math.max(worst[f.position] ?? 0, f.severity);
  return worst;
}
