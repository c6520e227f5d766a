import { Button, Modal, Select, TextInput } from '@mantine/core';
import { useMemo, useState } from 'react';
import type { MapIndex } from '../api/map';
import { useLeaks } from '../api/rounds';
import type { Round } from '../api/types';
import { positionOptions } from '../form/pickers';
import { useRecord } from '../record/Recording';
import { useNotices } from '../ui/Notices';
import { type Ended, endInWords, HOWS, type How, hasPlace, isWon, placesFor, waysFor } from './card';
import classes from './Round.module.css';

const PLACES = 8;
const A_YEAR = 365;

export type Card = Pick<Round, 'id' | 'kind' | 'first' | 'second' | 'classId' | 'blockId' | 'number'> &
  Partial<Pick<Round, 'ended' | 'words' | 'at'>>;

type Props = {
  card: Card;
  map: MapIndex;
  /** What somebody is called; null: somebody from outside. */
  nameOf: (id: string | null) => string;
  onDone: () => void;
};

/** How one round ended: how, who, from where, with what; a touch each, and what was not seen stays empty. */
export function RoundCard({ card, map, nameOf, onDone }: Props) {
  const [how, setHow] = useState<How | null>(card.ended?.how ?? null);
  const [winner, setWinner] = useState<Ended['winner']>(card.ended?.winner ?? null);
  const [position, setPosition] = useState<string | null>(card.ended?.position ?? null);
  const [words, setWords] = useState(card.words ?? '');
  const record = useRecord();
  const say = useNotices();
  const leaks = useLeaks(A_YEAR, null);
  const often = useMemo(
    () => new Map((leaks.data?.leaks ?? []).map(({ leak }) => [leak.position, leak.times])),
    [leaks.data],
  );
  const places = how && hasPlace(how) ? placesFor(map, how, often) : [];
  const shown = places.slice(0, PLACES);
  const ways = how && position ? waysFor(map, how, position) : [];
  const isWhole = how !== null && (!isWon(how) || winner !== null);

  const keep = async (ended: Ended) => {
    const { id, kind, first, second, classId, blockId, number } = card;
    const body = { id, kind, first, second, classId, blockId, number, ended, words: words.trim() || null };
    const said = endInWords({ ...body, at: null, by: null, events: [], ruleset: null }, map, nameOf);
    try {
      await record({ kind: 'round', body }, `Round: ${said}`);
      onDone();
      say.done(`Kept: ${said}.`, () => {
        const back = card.ended
          ? record({ kind: 'round', body: { ...body, ended: card.ended } }, 'Round as before')
          : record({ kind: 'unround', body: { id, classId } }, 'Round taken back', id);
        back.catch(say.failed);
      });
    } catch (error) {
      say.failed(error);
    }
  };
  const end = (link: string | null): Ended => ({
    how: how ?? 'TIME',
    winner: how && isWon(how) ? winner : null,
    position: how && hasPlace(how) ? position : null,
    link: how && hasPlace(how) ? link : null,
  });
  const choose = (next: How) => {
    setHow(next);
    setPosition(null);
    if (!isWon(next)) setWinner(null);
  };
  return (
    <Modal
      opened
      onClose={onDone}
      size="lg"
      title={`${nameOf(card.first)} and ${nameOf(card.second)}`}
      classNames={{ content: classes.card }}
    >
      <Touches label="How did it end?">
        {HOWS.map((one) => (
          <Touch key={one.how} on={how === one.how} onClick={() => choose(one.how)}>
            {one.label}
          </Touch>
        ))}
      </Touches>
      {how && isWon(how) && (
        <Touches label="Who won?">
          {(['FIRST', 'SECOND'] as const).map((who) => (
            <Touch key={who} on={winner === who} onClick={() => setWinner(who)}>
              {nameOf(who === 'FIRST' ? card.first : card.second)}
            </Touch>
          ))}
        </Touches>
      )}
      {how && hasPlace(how) && winner && (
        <>
          <Touches label="From where?">
            {[...shown, ...(position && !shown.includes(position) ? [position] : [])].map((id) => (
              <Touch key={id} on={position === id} onClick={() => setPosition(id)}>
                {map.position.get(id)?.name}
              </Touch>
            ))}
          </Touches>
          <Select
            aria-label="Another position"
            placeholder="Another position"
            searchable
            limit={60}
            data={positionOptions(map)}
            value={null}
            onChange={(id) => id && setPosition(id)}
          />
        </>
      )}
      {position && winner && ways.length > 0 && (
        <Touches label="With what?">
          {ways.map((link) => (
            <Touch key={link.id} on={card.ended?.link === link.id} onClick={() => keep(end(link.id))}>
              {map.technique.get(link.technique)?.name}
            </Touch>
          ))}
          <Touch on={false} onClick={() => keep(end(null))}>
            Not seen
          </Touch>
        </Touches>
      )}
      {isWhole && (
        <TextInput
          mt={14}
          label="A word"
          placeholder="Nothing to say is fine"
          maxLength={200}
          value={words}
          onChange={(event) => setWords(event.currentTarget.value)}
        />
      )}
      <div className={classes.acts}>
        <Button size="lg" disabled={!isWhole} onClick={() => keep(end(null))}>
          Keep it
        </Button>
        <Button size="lg" variant="subtle" onClick={onDone}>
          Cancel
        </Button>
      </div>
    </Modal>
  );
}

function Touches({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <fieldset className={classes.touches}>
      <legend>{label}</legend>
      <div>{children}</div>
    </fieldset>
  );
}

function Touch(props: { on: boolean; onClick: () => void; children: React.ReactNode }) {
  return (
    <button type="button" aria-pressed={props.on} onClick={props.onClick}>
      {props.children}
    </button>
  );
}
