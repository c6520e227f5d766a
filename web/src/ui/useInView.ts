import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useState } from 'react';
import { flushSync } from 'react-dom';

/** What a row is taken to be high, in px, until it has been drawn and measured. */
const GUESS = 56;
const BEYOND = 12;

/**
 * Which rows of a long list are drawn: those within what is seen of the element that scrolls and some beyond it, and
 * all of them on paper or when no such element is given (null: it does not stand yet).
 *
 * @returns the rows [from, to) and the room in px that the others take above and below.
 */
export function useInView(count: number, within?: HTMLElement | null) {
  const isPrinting = usePrinting();
  const all = useVirtualizer<HTMLElement, HTMLTableRowElement>({
    count: within ? count : 0,
    getScrollElement: () => within ?? null,
    estimateSize: () => GUESS,
    overscan: BEYOND,
  });
  const drawn = all.getVirtualItems();
  const [first, last] = [drawn.at(0), drawn.at(-1)];
  const measure = all.measureElement;
  if (within === undefined || isPrinting) return { from: 0, to: count, above: 0, below: 0, measure };
  if (!first || !last) return { from: 0, to: 0, above: 0, below: 0, measure };
  return {
    from: first.index,
    to: last.index + 1,
    above: first.start,
    below: all.getTotalSize() - last.end,
    measure,
  };
}

function usePrinting() {
  const [isPrinting, setPrinting] = useState(false);
  useEffect(() => {
    // The browser lays the paper out as soon as this has been told, so the rows have to stand by then.
    const set = (to: boolean) => () => flushSync(() => setPrinting(to));
    const [before, after] = [set(true), set(false)];
    window.addEventListener('beforeprint', before);
    window.addEventListener('afterprint', after);
    return () => {
      window.removeEventListener('beforeprint', before);
      window.removeEventListener('afterprint', after);
    };
  }, []);
  return isPrinting;
}
