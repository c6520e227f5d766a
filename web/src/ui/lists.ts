/** The item at a place that is known to be there; says which place of how many when it is not. */
export function nth<T>(list: readonly T[], place: number): T {
  const item = list[place];
  if (item === undefined && !(place in list))
    throw new RangeError(`There is no place ${place} in a list of ${list.length}.`);
  return item as T;
}

/** What stands under a name that is known to be there; says which name when it is not. */
export function under<T>(things: Record<string, T>, name: string): T {
  if (!Object.hasOwn(things, name)) throw new RangeError(`Nothing stands under ${name}.`);
  return things[name] as T;
}

/** The list with one item a place earlier or later; the very same list at either end. */
export function stepped<T>(list: T[], place: number, step: -1 | 1): T[] {
  const to = place + step;
  if (place < 0 || to < 0 || to >= list.length) return list;
  return list.with(place, nth(list, to)).with(to, nth(list, place));
}
