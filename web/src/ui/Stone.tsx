import type { ReactNode } from 'react';
import classes from './Stone.module.css';

const WORD = { 3: 'Blocks', 2: 'Warns', 1: 'Note' } as const;
const SHAPE = {
  3: 'M4 3l7-2 8 3 3 7-2 8-9 4-8-4L1 11z',
  2: 'M6 3l8-1 7 5 1 8-6 6-9 0-5-6 0-7z',
  1: 'M8 5l7 0 5 5-1 6-6 4-7-2-3-6z',
} as const;

export type Severity = keyof typeof SHAPE;

/** A field stone: small, irregular, with the severity's sign. Its word is read out. */
export function Stone({ severity, size = 24 }: { severity: number; size?: number }) {
  const level = (severity in SHAPE ? severity : 1) as Severity;
  return (
    <svg
      role="img"
      aria-label={WORD[level]}
      width={size}
      height={size}
      viewBox="0 0 23 24"
      className={classes[`s${level}`]}
    >
      <path d={SHAPE[level]} />
      <text x="11.5" y="16.5" textAnchor="middle">
        {level === 3 ? '×' : level === 2 ? '!' : '·'}
      </text>
    </svg>
  );
}

type Props = { severity: number; children: ReactNode; action?: ReactNode };

/** A finding set as a stone with its sentence and, where there is one, its mend. */
export function Finding({ severity, children, action }: Props) {
  return (
    <li className={classes.finding}>
      <Stone severity={severity} />
      <div>
        {children}
        {action && <div className={classes.action}>{action}</div>}
      </div>
    </li>
  );
}
