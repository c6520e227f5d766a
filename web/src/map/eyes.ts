import type { Eyes } from '../api/map';
import type { LadderView, Name } from '../api/types';
import { rankOptions } from '../rank/ladders';

/** "rank:green", "student:orla", or the club. */
export function eyesOf(text: string): Eyes {
  const [kind, id = ''] = text.split(':');
  return kind === 'rank' || kind === 'student' ? { kind, id } : { kind: 'club' };
}

/** Through whose eyes the map can be looked at. */
export const eyeOptions = (ladders: LadderView[], people: Name[]) => [
  { group: 'Club', items: [{ value: 'club', label: 'The whole club' }] },
  ...rankOptions(ladders, (_, rank) => `rank:${rank.id}`),
  {
    group: 'Students',
    items: people.map((person) => ({ value: `student:${person.id}`, label: person.name })),
  },
];
