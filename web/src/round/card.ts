import type { MapIndex } from '../api/map';
import type { Link, Round } from '../api/types';

export type Ended = Round['ended'];
export type How = Ended['how'];

/** How a round ends, as a coach calls it. */
export const HOWS: { how: How; label: string; isWon: boolean }[] = [
  { how: 'TAP', label: 'Tap', isWon: true },
  { how: 'POINTS', label: 'Points', isWon: true },
  { how: 'TIME', label: 'Time', isWon: false },
  { how: 'THROW', label: 'Throw', isWon: true },
  { how: 'PIN', label: 'Held down', isWon: true },
  { how: 'STOPPED', label: 'Stopped', isWon: false },
];

export const isWon = (how: How) => HOWS.some((one) => one.how === how && one.isWon);

/** Ends of which a coach says from where. */
export const hasPlace = (how: How) => how === 'TAP' || how === 'THROW' || how === 'PIN';

/** Fifty-three bits of a text, the same on every device. */
function hash(text: string): string {
  let a = 0xdeadbeef;
  let b = 0x41c6ce57;
  for (let i = 0; i < text.length; i++) {
    const code = text.charCodeAt(i);
    a = Math.imul(a ^ code, 2654435761);
    b = Math.imul(b ^ code, 1597334677);
  }
  a = Math.imul(a ^ (a >>> 16), 2246822507) ^ Math.imul(b ^ (b >>> 13), 3266489909);
  b = Math.imul(b ^ (b >>> 16), 2246822507) ^ Math.imul(a ^ (a >>> 13), 3266489909);
  return (4294967296 * (2097151 & b) + (a >>> 0)).toString(36);
}

/** A round of the mat has one id on every tablet: of its class, its block, its number and the two in it. */
export const cardId = (classId: string, block: string | null, number: number, pair: [string, string]) =>
  `round-${hash([classId, block ?? '', number, ...[...pair].sort()].join(' '))}`;

const isFinish = (map: MapIndex, link: Link, how: How) => {
  const family = map.technique.get(link.technique)?.family;
  if (how === 'TAP') return link.to === 'TAP';
  return how === 'THROW' && (family === 'THROW' || family === 'TAKEDOWN');
};

const isThere = (map: MapIndex, link: Link) => !link.retired && !map.technique.get(link.technique)?.retired;

/** Links by which a round can end so from a position. */
export const waysFor = (map: MapIndex, how: How, position: string): Link[] =>
  map.data.links.filter((link) => link.from === position && isThere(map, link) && isFinish(map, link, how));

/**
 * Positions from which a round ends so, the likeliest first.
 *
 * @param often how often rounds ended from each, by id
 */
export function placesFor(map: MapIndex, how: How, often: ReadonlyMap<string, number>): string[] {
  const ways = new Map<string, number>();
  if (how === 'PIN') {
    for (const rules of map.data.rulesets) for (const pin of rules.pins) ways.set(pin.position, 1);
  } else {
    for (const link of map.data.links)
      if (isThere(map, link) && isFinish(map, link, how)) ways.set(link.from, (ways.get(link.from) ?? 0) + 1);
  }
  for (const place of often.keys()) if (!ways.has(place)) ways.set(place, 0);
  return [...ways.keys()]
    .filter((id) => map.position.has(id) && !map.position.get(id)?.retired)
    .sort(
      (a, b) =>
        (often.get(b) ?? 0) - (often.get(a) ?? 0) ||
        (ways.get(b) ?? 0) - (ways.get(a) ?? 0) ||
        a.localeCompare(b),
    );
}

/** "Orla by tap: front choke, from front headlock"; what was not seen is left out. */
export function endInWords(round: Round, map: MapIndex, nameOf: (id: string | null) => string): string {
  const { how, winner, position, link } = round.ended;
  const label = HOWS.find((one) => one.how === how)?.label.toLowerCase() ?? '';
  if (!winner) return how === 'TIME' ? 'time ran out' : how === 'STOPPED' ? 'stopped' : label;
  const who = nameOf(winner === 'FIRST' ? round.first : round.second);
  const technique = map.technique.get(map.data.links.find((one) => one.id === link)?.technique ?? '');
  const from = position && map.position.get(position)?.name;
  const by = `${who} by ${how === 'POINTS' ? 'points' : how === 'PIN' ? 'hold-down' : label}`;
  return [by, [technique?.name, from && `from ${from.toLowerCase()}`].filter(Boolean).join(', ')]
    .filter(Boolean)
    .join(': ');
}
