import { send } from './client';

const MOST = 5;
const MOST_PLACES = 8;
const told = new Set<string>();

/** The address without what names somebody or something: `/people/-`. */
export const pageOf = (pathname: string) => {
  const [, first = '', ...rest] = pathname.split('/');
  return `/${first}${rest.map(() => '/-').join('')}`.slice(0, 120);
};

/** Where in the program, without the words of the error: they may hold what somebody typed. */
export const placesOf = (stack: string) =>
  stack
    .split('\n')
    .flatMap((line) => line.match(/[\w-]+\.(?:js|tsx?):\d+(?::\d+)?/)?.[0] ?? [])
    .slice(0, MOST_PLACES);

/** Tells the server's log where this page broke: each place once, a few in all, and nothing private. */
export function reportError(error: unknown): void {
  const broke = error instanceof Error ? error : new Error();
  const stack = placesOf(broke.stack ?? '');
  const key = `${broke.name} ${stack[0]}`;
  if (told.size >= MOST || told.has(key)) return;
  told.add(key);
  send('POST', '/page-errors', {
    page: pageOf(location.pathname),
    error: broke.name.slice(0, 60),
    stack,
  }).catch(() => {});
}
