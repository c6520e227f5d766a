import { Problem } from '../api/client';

/** Where what stands in the way is put right, and what the press that leads there says. */
export type Settle = { label: string; to: string };

type Place = Settle | ((pathname: string) => Settle | null);

const ladderOf = (pathname: string) => pathname.match(/^\/ranks\/([^/]+)/)?.[1];

/** By what the server refused; a refusal that is put right where it is shown has none. */
export const SETTLES: Record<string, Place> = {
  GIVES_CLASSES: { label: 'Who gives the classes', to: '/house/tracks' },
  SLOT_CLASH: { label: 'The weekly times', to: '/house/tracks' },
  RANK_HELD: { label: 'See who wears what', to: '/people' },
  LAST_HEAD: { label: 'The accounts', to: '/house/accounts' },
  PLAN_NOBODY: { label: 'Put people on the track', to: '/people' },
  SPREAD_EMPTY: { label: 'Say what the ranks ask', to: '/ranks' },
  NO_WINDOW: { label: 'Say when belts are given', to: '/ranks' },
  CLOSURE_ATTENDED: { label: 'Who was there', to: '/mat/week' },
  CLOSURE_GRADING: { label: 'The term and its grading', to: '/term' },
  GRADING_CLOSED: { label: 'The closed days', to: '/house/tracks' },
  ANNOUNCED: { label: 'Correct it on the board', to: '/people/promotions' },
  COPY_FAILED: { label: 'Safe keeping', to: '/house/copies' },
  BEGAN_ALREADY: (pathname) => {
    const ladder = ladderOf(pathname);
    return ladder ? { label: 'The versions', to: `/ranks/${ladder}/versions` } : null;
  },
};

/** What settles an error that is seen on a page; null: nothing does by one press, or it is this page. */
export function settles(error: unknown, pathname: string): Settle | null {
  const place = error instanceof Problem ? SETTLES[error.code] : undefined;
  const settle = typeof place === 'function' ? place(pathname) : (place ?? null);
  return settle && settle.to !== pathname ? settle : null;
}
