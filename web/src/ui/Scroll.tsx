import type { ReactNode } from 'react';

type Props = { label: string; className?: string; children: ReactNode };

/** A part of the screen that scrolls by itself; it takes the focus, so that the keyboard can scroll it. */
export function Scroll({ label, className, children }: Props) {
  return (
    // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reachable by keyboard
    <section aria-label={label} className={className} tabIndex={0}>
      {children}
    </section>
  );
}
