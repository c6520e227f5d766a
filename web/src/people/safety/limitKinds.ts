import type { Student } from '../../api/types';

export type Limit = Student['restrictions'][number];
export type Kind = Limit['kind'];

/** What each limit says. */
export const KINDS: Record<Kind, string> = {
  NO_THROWS_TAKEN: 'No throws taken',
  NO_THROWS: 'No throws, given or taken',
  NO_NECK: 'Nothing on the neck',
  NO_ARM_LOCKS: 'No arm or shoulder locks',
  NO_LEG_LOCKS: 'No leg locks, nothing on the knee',
  ONE_SIDE_ONLY: 'One side only',
  LIGHT_ONLY: 'Light work only',
  NO_LIVE: 'No live rounds',
  HEAD_KNOCK: 'Head knock: no live, no throws',
};

export const kindOptions = Object.entries(KINDS).map(([value, label]) => ({ value, label }));

/** A step of a way back as it is read: its limits stand together. */
export type Step = {
  number: number;
  of: number;
  from: string;
  until: string | null;
  note: string | null;
  kinds: Kind[];
};

/** The steps that a way back's limits belong to, in order. */
export function stepsOf(limits: Limit[]): Step[] {
  const steps = new Map<number, Step>();
  for (const { kind, from, until, note, step } of limits) {
    if (!step) continue;
    const known = steps.get(step.number);
    if (known) known.kinds.push(kind);
    else steps.set(step.number, { ...step, from, until: until ?? null, note: note ?? null, kinds: [kind] });
  }
  return [...steps.values()].sort((a, b) => a.number - b.number);
}
