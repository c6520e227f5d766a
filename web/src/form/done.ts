import type { Done } from '../api/types';
import { date } from '../ui/words';

type Thing = Done['things'][number];

const WHAT: Record<Thing['what'], string> = {
  ADDED: 'Added',
  CHANGED: 'Changed',
  RETIRED: 'Retired',
  REMOVED: 'Took out',
};

/** What the journal calls things, as a coach says it; `name` is their own name or whose they are. */
const KINDS: Record<string, (name: string) => string> = {
  pair: (name) => `the position ${name}`,
  technique: (name) => name,
  link: (name) => `the way ${name}`,
  reaction: (name) => `the reaction “${name}”`,
  ruleset: (name) => `the rules ${name}`,
  chain: (name) => `the chain ${name}`,
  ladder: (name) => `the ladder ${name}`,
  syllabus: (name) => `what ${name} asks for`,
  word: (name) => `the word ${name}`,
  drill: (name) => `the drill ${name}`,
  class: (name) => `the class ${name}`,
  practice: (name) => (name ? `what ${name} drilled` : 'what a class drilled'),
  mark: (name) => `a mark of ${name}`,
  round: () => 'a round',
  track: (name) => `the track ${name}`,
  term: (name) => `the term ${name}`,
  closure: (name) => `the closed days ${name}`,
  gap: (name) => `the gap at ${name}`,
  pattern: (name) => `the class pattern ${name}`,
  plan: (name) => `the plan of ${name}`,
  cycle: (name) => `the theme weeks of ${name}`,
  ask: (name) => `what was asked: ${name}`,
  credit: (name) => `work alone of ${name}`,
  brought: (name) => `what ${name} brought`,
  tally: () => 'a fault of the room',
  student: (name) => name,
  syllabusMove: (name) => `which syllabus ${name} stands on`,
  promotion: (name) => `a promotion of ${name}`,
  nomination: (name) => `a nomination of ${name}`,
  merit: (name) => `a merit of ${name}`,
  attendance: (name) => `that ${name} was here`,
  account: (name) => `the account ${name}`,
  club: () => 'the whole club, from a file',
  csv: () => 'a sheet, from a file',
  numbers: () => 'the club’s numbers',
};

/** One thing an edit touched: "Changed what Blue asks for". */
export function thingInWords({ kind, what, name, day }: Thing): string {
  const said = (KINDS[kind] ?? ((own: string) => own || 'something'))(name ?? '').trim();
  return `${WHAT[what]} ${said}${day ? `, ${date(day)}` : ''}`;
}

/** What an edit did, in one line: its first thing, and how many more. */
export function doneInWords(done: Done): string {
  const [first] = done.things;
  const more = done.things.length + done.more - 1;
  const said = first ? thingInWords(first) : 'Something';
  return more > 0 ? `${said}, and ${more} more` : said;
}

/** One line of the list of what was done last. */
export type DoneLine<N> = { key: string; text: string; at: string; notice?: N; done?: Done };

type Said = { id: number; text: string; at: string; edit?: string };

/**
 * What was done last, the newest first, each once: what this page said of it is better worded than what the journal knows.
 *
 * @param here what this page said was done
 * @param kept what the server knows of this account
 */
export function lastDone<N extends Said>(here: N[], kept: Done[], most = 10): DoneLine<N>[] {
  const known = new Set(kept.map((done) => done.edit));
  const said = new Map(here.flatMap((notice) => (notice.edit ? [[notice.edit, notice] as const] : [])));
  return [
    ...here
      .filter((notice) => !notice.edit || !known.has(notice.edit))
      .map((notice) => ({ key: `n${notice.id}`, text: notice.text, at: notice.at, notice })),
    ...kept.map((done) => ({
      key: done.edit,
      text: said.get(done.edit)?.text ?? doneInWords(done),
      at: done.at,
      done,
    })),
  ]
    .sort((a, b) => b.at.localeCompare(a.at))
    .slice(0, most);
}
