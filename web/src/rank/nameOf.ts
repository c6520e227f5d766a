import type { MapIndex } from '../api/map';
import type { ChainView, Item } from '../api/types';
import { techniqueOf } from './families';

/** What an item is called. */
export function nameOf(item: Item, map: MapIndex, chains?: ChainView[]): string {
  return (
    techniqueOf(item, map)?.name ??
    (item.kind === 'CHAIN' ? chains?.find((c) => c.chain.id === item.ref)?.chain.name : undefined) ??
    (item.kind === 'POSITION_GOAL' ? map.position.get(item.ref)?.name : undefined) ??
    item.words ??
    item.ref ??
    item.id
  );
}

/** What a button that mends says: at most two names fit on it. */
export const mendInWords = (names: string[], rank: string) =>
  names.length <= 2
    ? `Add ${names.join(' and ')} to ${rank}`
    : `Add ${names[0]} and ${names.length - 1} more to ${rank}`;
