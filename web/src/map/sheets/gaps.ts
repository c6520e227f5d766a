import type { MapIndex } from '../../api/map';
import type { Finding } from '../../api/types';

/** What tells one finding from another. */
export const keyOf = (f: Pick<Finding, 'code' | 'position' | 'technique' | 'reaction'>) =>
  `${f.code} ${f.position ?? ''} ${f.technique ?? ''} ${f.reaction ?? ''}`;

export type Place = { position: string | null; findings: Finding[] };

/** Findings by position, in the order in which each position is met first; those without one come together. */
export function byPosition(findings: Finding[]): Place[] {
  const places = new Map<string | null, Finding[]>();
  for (const finding of findings) {
    const at = finding.position ?? null;
    places.set(at, [...(places.get(at) ?? []), finding]);
  }
  return [...places].map(([position, here]) => ({ position, findings: here }));
}

/** What earlier ranks opened and nobody has closed since, by that rank, in the order in which it is met. */
export function openSince(findings: Finding[]): { rank: string; findings: Finding[] }[] {
  const ranks = new Map<string, Finding[]>();
  for (const finding of findings)
    if (finding.since) ranks.set(finding.since, [...(ranks.get(finding.since) ?? []), finding]);
  return [...ranks].map(([rank, old]) => ({ rank, findings: old }));
}

/** How busy a crossing is, which is why a gap there matters. */
export function busiest(map: MapIndex, position: string): string {
  const here = map.centrality[position] ?? 0;
  const plots = Object.keys(map.centrality).length;
  const before = Object.values(map.centrality).filter((c) => c > here).length;
  if (here === 0) return 'Off the beaten track: no shortest way between two others passes here.';
  return before === 0
    ? 'The busiest crossing of the hill.'
    : `${ordinal(before + 1)} busiest crossing of ${plots}.`;
}

/** "2nd", "13th", "21st" */
export function ordinal(n: number): string {
  const tens = n % 100;
  const ends = ['th', 'st', 'nd', 'rd'];
  return `${n}${tens > 10 && tens < 14 ? 'th' : (ends[n % 10] ?? 'th')}`;
}
