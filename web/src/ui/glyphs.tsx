import type { Family, Group } from '../api/types';

/** One small line drawing per family and throw group, on a field of 24 by 24. */
const DRAWINGS: Record<string, string> = {
  BREAKFALL: 'M5 8a4 4 0 1 1 4 4M9 12c0 4 3 7 8 7h3M3 20h18',
  MOVEMENT: 'M3 19h18M5 18c1-7 6-9 8-4s5 3 6-2M16 9l3 3 2-4',
  GRIP: 'M7 20v-6l-2-4 2-1 2 3V5h2v6V4h2v7V5h2v7l1-4h2l-1 7-2 5',
  HAND: 'M4 6c6-3 13 0 14 8M18 14l3-4M18 14l-5-2M8 20l3-6 3 6',
  HIP: 'M4 18c1-9 8-14 16-11M16 4l4 3-3 4M9 20a4 4 0 0 1 8 0',
  FOOT_AND_LEG: 'M7 3v9c0 4 3 6 8 6h2M17 18c2 0 3-2 2-4M13 5l-2 6M3 21h18',
  REAR_SACRIFICE: 'M12 20C5 20 3 12 8 7s12-2 12 5M20 12l-4-1M20 12l1-4M9 20h10',
  SIDE_SACRIFICE: 'M3 17l9-2 8 4M6 14C8 7 15 5 20 9M20 9l-4 1M20 9l0-4',
  THROW: 'M4 18c1-9 8-14 16-11M16 4l4 3-3 4M9 20a4 4 0 0 1 8 0',
  TAKEDOWN: 'M3 7h9l6 8M18 15l-5-1M18 15l1-5M3 20h18M5 11h5',
  TURNOVER: 'M3 19h18M5 19c0-8 9-13 14-7M19 12l-5 0M19 12l0-5M8 19c0-3 3-5 5-3',
  PASS: 'M5 20V6M19 20V6M5 9h6M13 9h6M5 16h14M12 20V5M12 5l-3 3M12 5l3 3',
  SWEEP: 'M3 10l18 6M12 13l-4 7h8zM18 9V4M18 4l-2 2M18 4l2 2',
  ESCAPE: 'M5 21V4h9v3M14 17v4H5M9 12h11M20 12l-3-3M20 12l-3 3',
  PIN: 'M3 19h18M5 16c1-5 4-6 8-6s6 2 6 6zM9 7h6',
  TRANSITION: 'M4 16c4 0 4-8 8-8s4 8 8 8M20 16l-3-3M20 16l-3 3',
  SUBMISSION: 'M3 12c4-7 9-7 9 0s5 7 9 0M21 12c-4-7-9-7-9 0s-5 7-9 0',
};

type Props = { family: Family; group?: Group | null; size?: number };

/** The glyph of a family; a throw shows its group. It is decoration: the name stands beside it. */
export function Glyph({ family, group, size = 22 }: Props) {
  const drawing = (family === 'THROW' && group && DRAWINGS[group]) || DRAWINGS[family];
  return (
    <svg
      aria-hidden="true"
      width={size}
      height={size}
      viewBox="0 0 24 24"
      fill="none"
      stroke={family === 'SUBMISSION' ? 'var(--plum)' : 'currentColor'}
      strokeWidth="1.7"
      strokeLinecap="round"
      strokeLinejoin="round"
      style={{ flex: 'none' }}
    >
      <path d={drawing} />
    </svg>
  );
}
