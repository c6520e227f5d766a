import type { Room, Why } from '../../api/types';
import type { Group, Table } from './pairs';

/** What is said of pairs: why somebody is alone, who is careful in which way. */
export function sayingsOf(room: Room, table: Table, calledBy: (who: string) => string) {
  const words = (why: Why[]) => why.map((one) => room.words[one] ?? one.toLowerCase());
  return {
    words,
    named: (group: Group) => group.map(calledBy).join(' and '),
    /** Three of whom one can fall: the others throw; else everybody is lowered. */
    carefully: (group: Group) => {
      const lacking = group.filter((who) => who in room.lacks);
      return lacking.length === group.length
        ? 'lowered, or onto the crash mat'
        : `${some(lacking.map(calledBy))} only ${lacking.length === 1 ? 'throws' : 'throw'}`;
    },
    /**
     * Why somebody is in no pair.
     *
     * @param reasons what stands between them and whom
     * @param fitting those with whom they could be
     */
    aloneIn: (
      who: string,
      others: string[],
      reasons: { why: Why; people: string[] }[],
      fitting: string[],
    ): string => {
      if (!table.knows(who)) return `${calledBy(who)} is new here this minute: say who works with them.`;
      if (others.length === 0) return `Nobody else is here for ${calledBy(who)}.`;
      const between = reasons.slice(0, 2).map(({ why, people: them }) => {
        const falls =
          why === 'NO_FALLS' ? (room.lacks[who] ?? []).map((fall) => fall.name.toLowerCase()) : [];
        const said = falls.length > 0 ? `${room.words[why]} (${falls.join(', ')})` : room.words[why];
        return them.length === others.length ? said : `with ${some(them.map(calledBy))}: ${said}`;
      });
      const rest = between.length > 0 ? ` Not ${between.join('; ')}.` : '';
      return fitting.length > 0
        ? `One too many. ${calledBy(who)} fits with ${some(fitting.map(calledBy))}: touch both to swap.${rest}`
        : `Nobody can be paired with ${calledBy(who)}: ${between.join('; ')}.`;
    },
  };
}

/** "Ana", "Ana and Bo", "Ana, Bo and 4 more". */
const some = (names: string[]) =>
  names.length <= 2 ? names.join(' and ') : `${names.slice(0, 2).join(', ')} and ${names.length - 2} more`;
