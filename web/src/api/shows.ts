const MAP = ['map', 'chains', 'ladders', 'people'];
const LADDERS = ['ladders', 'people', 'board', 'map', 'plans'];
const PEOPLE = ['people', 'names'];

/**
 * What shows things of each kind, as the first words of query keys; the first one is what the eye is on. The kinds are what the
 * journal calls them, and a test of the server holds that none of the club's parts lacks.
 */
export const SHOWS = {
  pair: MAP,
  technique: MAP,
  link: MAP,
  reaction: MAP,
  ruleset: [...MAP, 'board'],
  chain: ['chains', 'map', 'ladders', 'people'],
  ladder: LADDERS,
  syllabus: LADDERS,
  word: ['words'],
  drill: ['drills'],
  track: ['tracks', 'classes', 'cycles', 'people', 'names', 'coaches'],
  term: ['terms', 'plans', 'cycles', 'classes'],
  closure: ['closures', 'classes', 'cycles', 'plans'],
  plan: ['plans', 'cycles', 'classes'],
  cycle: ['cycles', 'classes'],
  pattern: ['patterns'],
  ignoredLeak: ['rounds'],
  numbers: ['numbers', 'pairs', 'calls', 'classes', 'map', 'chains', 'ladders', 'plans', 'people', 'board'],
  student: PEOPLE,
  class: ['classes', 'plans', 'letters', 'people'],
  grading: ['board', 'people'],
  promotion: ['people', 'board', 'belts', 'names'],
  nomination: ['board', 'people', 'names'],
  merit: ['people', 'board'],
  belt: ['belts'],
  attendance: ['classes', 'people', 'names'],
  practice: ['classes', 'people'],
  mark: ['people', 'classes', 'board'],
  round: ['rounds', 'people', 'map'],
  gap: ['map', 'ladders'],
  ask: ['asks'],
  incident: ['incidents', 'people', 'names'],
  credit: ['people'],
  brought: ['people', 'names', 'board'],
  syllabusMove: LADDERS,
  tally: ['classes', 'people'],
  pairing: ['classes'],
  start: ['starts', 'classes'],
  account: ['accounts', 'coaches'],
  club: ['session'],
} as const satisfies Record<string, readonly string[]>;

export type Kind = keyof typeof SHOWS;

/** The first words of what shows any of these, each once. */
export const shownBy = (kinds: readonly Kind[]): string[] => [
  ...new Set([...kinds.flatMap((kind): readonly string[] => SHOWS[kind]), 'edits']),
];

export const isKind = (word: string): word is Kind => word in SHOWS;
