import type { MapIndex } from '../api/queries';
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
