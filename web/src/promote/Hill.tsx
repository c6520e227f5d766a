import { useElementSize } from '@mantine/hooks';
import type { Ladder, OnBank } from '../api/types';
import { Belt } from '../ui/Belt';
import classes from './Hill.module.css';
import { CLOTH, clothOf, Section } from './hill';
import signs from './Signs.module.css';
import { folded, SIGNS } from './signs';

type Props = {
  ladder: Ladder;
  standing: OnBank[];
  chosen: string | null;
  onChoose: (student: string) => void;
  /** Everybody of one rank is wanted. */
  onRank: (rank: string) => void;
};

const says = ({ flag, name, calledBy, passedOver }: OnBank) =>
  `${calledBy}: ${name}, ${flag.met} of ${flag.of} conditions, ${SIGNS[flag.sign].says}${passedOver > 0 && flag.sign === 'PUT_FORWARD' ? `, passed over at ${passedOver}` : ''}`;

/** The ladder's hill in section, a flag for each student as far up their bank as they have met. */
export function Hill({ ladder, standing, chosen, onChoose, onRank }: Props) {
  const { ref, width, height } = useElementSize();
  const ranks = ladder.ranks.slice(0, -1); // from the last one nobody goes on
  const { shown, more } = folded(standing);
  const flags = shown
    .map((one) => ({ one, bank: ranks.findIndex((rank) => rank.id === one.flag.rank) }))
    .filter(({ bank }) => bank >= 0);
  const hill = new Section(Math.max(1, ranks.length), Math.max(width, 300), Math.max(height, 420));
  const placed = hill.place(
    flags.map(({ one, bank }) => ({
      id: one.flag.student,
      bank,
      share: one.flag.of === 0 ? 1 : one.flag.met / one.flag.of,
      width: clothOf(one.calledBy, SIGNS[one.flag.sign].mark !== ''),
    })),
  );
  const byId = new Map(flags.map(({ one }) => [one.flag.student, one]));
  const over = Math.max(0, 10 - Math.min(0, ...placed.map((flag) => flag.top)));
  const outline = hill.outline();
  const ground = `M0 ${hill.height}L${outline.map(([x, y]) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}L${hill.width} ${hill.height}Z`;
  return (
    <div ref={ref} className={classes.frame}>
      <div className={classes.hill} style={{ height: hill.height, marginTop: over > 10 ? over : 0 }}>
        <svg width={hill.width} height={hill.height} aria-hidden="true">
          <path d={ground} className={classes.ground} />
          {ranks.map((rank, n) => (
            <line
              key={rank.id}
              x1={(n + 1) * hill.bank}
              x2={(n + 1) * hill.bank}
              y1={hill.ground((n + 1) * hill.bank - 0.1)}
              y2={hill.height}
              className={classes.edge}
            />
          ))}
          {placed.map((flag) => (
            <line
              key={flag.id}
              x1={flag.x}
              x2={flag.x}
              y1={flag.y}
              y2={flag.top + CLOTH / 2}
              className={classes.pole}
            />
          ))}
        </svg>
        {placed.map((flag) => {
          const one = byId.get(flag.id);
          if (!one) return null;
          const { sign } = one.flag;
          return (
            <button
              key={flag.id}
              type="button"
              className={`${classes.flag} ${signs[sign.toLowerCase()] ?? ''}`}
              style={{ left: flag.left, top: flag.top, width: flag.width, height: CLOTH }}
              aria-label={says(one)}
              aria-pressed={chosen === flag.id}
              data-flag={flag.id}
              onClick={() => onChoose(flag.id)}
            >
              {one.calledBy}
              {SIGNS[sign].mark && <span aria-hidden="true">{SIGNS[sign].mark}</span>}
            </button>
          );
        })}
        {ranks.map((rank, n) => (
          <div key={rank.id} className={classes.rank} style={{ left: n * hill.bank, width: hill.bank }}>
            {more.has(rank.id) && (
              <button type="button" className={classes.more} onClick={() => onRank(rank.id)}>
                {shown.some(({ flag }) => flag.rank === rank.id) ? 'and ' : ''}
                {more.get(rank.id)} on the way
              </button>
            )}
            <strong>{rank.name}</strong>
            <Belt colours={rank.colours} stripes={0} of={rank.stripes} width={Math.min(84, hill.bank - 12)} />
          </div>
        ))}
      </div>
    </div>
  );
}
