import { Button } from '@mantine/core';
import { useState } from 'react';
import { useMap } from '../../api/map';
import { useRounds } from '../../api/rounds';
import type { ClassSheet } from '../../api/types';
import { withRounds } from '../../record/overlay';
import { useWaiting } from '../../record/Recording';
import { cardId, endInWords } from '../../round/card';
import { type Card, RoundCard } from '../../round/RoundCard';
import { nth } from '../../ui/lists';
import classes from './Pairs.module.css';
import type { Pairing } from './usePairs';

const ROUNDS = new Set(['TIMED_ROUNDS', 'POSITIONAL_ROUNDS', 'FREE_ROUNDS']);

/** Every two of a group. */
const couplesOf = (group: string[]): [string, string][] =>
  group.flatMap((one, n) => group.slice(n + 1).map((other): [string, string] => [one, other]));

/** How the rounds of the evening ended: touch a pair. A second tablet that touches the same pair corrects the card. */
export function Cards({ sheet, pairs }: { sheet: ClassSheet; pairs: Pairing }) {
  const { id, blocks } = sheet.training;
  const block =
    (blocks.find((one) => one.id === pairs.block && ROUNDS.has(one.kind)) ??
      blocks.find((one) => ROUNDS.has(one.kind))) ||
    null;
  const kept = useRounds({ in: id }, pairs.isMade);
  const waiting = useWaiting().filter(
    (one) => (one.kind === 'round' || one.kind === 'unround') && one.body.classId === id,
  );
  const map = useMap();
  const [isOpen, setOpen] = useState(false);
  const [chosen, setNumber] = useState<number | null>(null);
  const [card, setCard] = useState<Card | null>(null);
  const rounds = withRounds(kept.data?.rounds ?? [], waiting).filter((one) => one.classId === id);
  const here = rounds.filter((one) => (one.blockId ?? null) === (block?.id ?? null));
  const number = chosen ?? Math.max(1, ...here.map((one) => one.number));
  const nameOf = (who: string | null) => (who === null ? 'Outside' : pairs.calledBy(who));
  if (!pairs.isMade || !map.data) return null;
  if (!isOpen)
    return (
      <div className={classes.acts}>
        <Button size="lg" variant="default" onClick={() => setOpen(true)}>
          How rounds ended{rounds.length > 0 && ` (${rounds.length})`}
        </Button>
      </div>
    );
  const index = map.data;
  const open = (pair: [string, string]) => {
    const id_ = cardId(id, block?.id ?? null, number, pair);
    const there = here.find((one) => one.id === id_);
    const [first, second] = [...pair].sort() as [string, string];
    setCard(
      there ?? {
        id: id_,
        kind: block?.kind === 'POSITIONAL_ROUNDS' ? 'POSITIONAL' : 'LIVE',
        first,
        second,
        classId: id,
        blockId: block?.id ?? null,
        number,
      },
    );
  };
  return (
    <section aria-label="How rounds ended">
      <h3 className={classes.waved}>
        Round {number}
        {block && <span className="quiet"> of {block.title}</span>}
      </h3>
      <ul className={classes.ended}>
        {pairs.groups.flatMap(couplesOf).map((pair) => {
          const there = here.find((one) => one.id === cardId(id, block?.id ?? null, number, pair));
          return (
            <li key={pair.join()}>
              <button type="button" data-card={pair.join(' ')} onClick={() => open(pair)}>
                <strong>
                  {pairs.calledBy(nth(pair, 0))} and {pairs.calledBy(nth(pair, 1))}
                </strong>
                <span>{there ? endInWords(there, index, nameOf) : 'touch: how did it end?'}</span>
              </button>
            </li>
          );
        })}
      </ul>
      <div className={classes.acts}>
        {number > 1 && (
          <Button size="md" variant="subtle" onClick={() => setNumber(number - 1)}>
            Round {number - 1}
          </Button>
        )}
        <Button size="md" variant="default" onClick={() => setNumber(number + 1)}>
          Round {number + 1}
        </Button>
        <Button size="md" variant="subtle" onClick={() => setOpen(false)}>
          Close
        </Button>
      </div>
      {card && (
        <RoundCard key={card.id} card={card} map={index} nameOf={nameOf} onDone={() => setCard(null)} />
      )}
    </section>
  );
}
