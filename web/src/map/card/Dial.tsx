import type { Technique } from '../../api/types';
import { plain } from '../../ui/words';
import { DIRECTIONS } from './codes';

/** The off-balancing direction, seen from the receiver from above: front is where the toes point, up on the dial. */
export function Dial({ directions }: { directions: Technique['directions'] }) {
  return (
    <svg
      role="img"
      aria-label={`Off-balance to the receiver's ${directions.map((d) => plain(d).toLowerCase()).join(' or ')}`}
      width="76"
      height="76"
      viewBox="-38 -38 76 76"
    >
      <circle r="34" fill="none" stroke="var(--line)" />
      <path
        d="M-7 6v-14a4 4 0 0 1 6 0v14zM1 6v-14a4 4 0 0 1 6 0v14z"
        fill="var(--panel)"
        stroke="var(--secondary)"
      />
      {DIRECTIONS.map((point, i) => {
        const angle = (i * Math.PI) / 4;
        const on = (directions as readonly string[]).includes(point);
        return (
          <g key={point} transform={`rotate(${(angle * 180) / Math.PI})`}>
            {on ? (
              <path d="M0 -14v-14M-5 -24L0 -32L5 -24" stroke="var(--ours)" strokeWidth="3" fill="none" />
            ) : (
              <circle cy="-30" r="1.8" fill="var(--secondary)" />
            )}
          </g>
        );
      })}
    </svg>
  );
}
