import type { ChainStep } from '../api/types';
import { nth } from '../ui/lists';

/** Where a step stands: the turn taken at each step from the first; the first step itself is []. */
export type Path = number[];

export type Placed = { path: Path; step: ChainStep; reaction: string | null; deep: number };

export function stepAt(first: ChainStep, path: Path): ChainStep {
  return path.reduce((step, turn) => nth(step.next, turn).step, first);
}

export const mainTurn = (step: ChainStep): number => step.next.findIndex((turn) => !turn.reaction);

/** Every step in the order in which the core labels them: down the main line, then the turn-offs. */
export function inCoreOrder(first: ChainStep | null): Placed[] {
  const all: Placed[] = [];
  const visit = (step: ChainStep, path: Path, reaction: string | null, deep: number) => {
    all.push({ path, step, reaction, deep });
    const main = mainTurn(step);
    if (main >= 0) visit(nth(step.next, main).step, [...path, main], null, deep);
    step.next.forEach((turn, i) => {
      if (turn.reaction) visit(turn.step, [...path, i], turn.reaction, deep + 1);
    });
  };
  if (first) visit(first, [], null, 0);
  return all;
}

/** Every step in the order in which it is read: a step, its turn-offs, then the main line goes on. */
export function inReadingOrder(first: ChainStep | null): Placed[] {
  const all: Placed[] = [];
  const visit = (step: ChainStep, path: Path, reaction: string | null, deep: number) => {
    all.push({ path, step, reaction, deep });
    step.next.forEach((turn, i) => {
      if (turn.reaction) visit(turn.step, [...path, i], turn.reaction, deep + 1);
    });
    const main = mainTurn(step);
    if (main >= 0) visit(nth(step.next, main).step, [...path, main], null, deep);
  };
  if (first) visit(first, [], null, 0);
  return all;
}

function changed(step: ChainStep, path: Path, change: (step: ChainStep) => ChainStep): ChainStep {
  if (path.length === 0) return change(step);
  const [turn, ...rest] = path;
  return {
    ...step,
    next: step.next.map((t, i) => (i === turn ? { ...t, step: changed(t.step, rest, change) } : t)),
  };
}

/** The tree with a link added after a step, on the main line or at a reaction, and where it stands now. */
export function added(
  first: ChainStep | null,
  after: Path | null,
  reaction: string | null,
  link: string,
): { first: ChainStep; path: Path } {
  const step: ChainStep = { link, next: [] };
  if (!first || after === null) return { first: step, path: [] };
  const place = stepAt(first, after).next.length;
  return {
    first: changed(first, after, (s) => ({
      ...s,
      next: [...s.next, { reaction: reaction as string, step }],
    })),
    path: [...after, place],
  };
}

/** The tree without a step and all that follows it; null when it was the first. */
export function without(first: ChainStep, path: Path): ChainStep | null {
  const turn = path.at(-1);
  if (turn === undefined) return null;
  return changed(first, path.slice(0, -1), (s) => ({ ...s, next: s.next.filter((_, i) => i !== turn) }));
}

/** The step whose turn-off this path stands in; null on the outermost main line. */
export function turnOffOf(first: ChainStep, path: Path): Path | null {
  for (let length = path.length; length > 0; length--) {
    const parent = path.slice(0, length - 1);
    if (stepAt(first, parent).next[nth(path, length - 1)]?.reaction) return parent;
  }
  return null;
}

export const same = (a: Path | null, b: Path | null) => a?.join('.') === b?.join('.');
