import type { Done } from '../api/types';
import { date } from '../ui/words';

type Thing = Done['things'][number];

const WHAT: Record<Thing['what'], string> = {
  ADDED: 'Added',
  CHANGED: 'Changed',
  RETIRED: 'Retired',
  REMOVED: 'Took out',
};

/** One thing an edit touched: "Changed what Blue asks for". */
export const thingInWords = ({ what, spoken, day }: Thing): string =>
  `${WHAT[what]} ${spoken}${day ? `, ${date(day)}` : ''}`;

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
