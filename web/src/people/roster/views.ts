/** A way of looking at the roster that somebody gave a name: what stands behind the `?` of its address. */
export type View = { name: string; query: string };

const KEY = 'lynchet-people-views';

/** Most that are kept: more is a list to search in. */
export const MOST_VIEWS = 8;

export function storedViews(storage: Pick<Storage, 'getItem'> = localStorage): View[] {
  try {
    const kept: unknown = JSON.parse(storage.getItem(KEY) ?? '[]');
    return Array.isArray(kept)
      ? kept.filter((v): v is View => typeof v?.name === 'string' && typeof v?.query === 'string')
      : [];
  } catch {
    return [];
  }
}

/** The views with one more; the same name takes the place of the one that had it. */
export function withView(views: View[], view: View): View[] {
  return [...views.filter((one) => one.name !== view.name), view].slice(-MOST_VIEWS);
}

export function storeViews(views: View[], storage: Pick<Storage, 'setItem'> = localStorage) {
  storage.setItem(KEY, JSON.stringify(views));
}
