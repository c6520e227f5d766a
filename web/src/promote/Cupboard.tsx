import { Button, NumberInput, TextInput } from '@mantine/core';
import { useState } from 'react';
import { send } from '../api/client';
import { useSession } from '../api/club';
import { useCupboard } from '../api/promote';
import type { Cupboard as Belts, Ladder } from '../api/types';
import { useChanged } from '../form/useEdit';
import { Belt } from '../ui/Belt';
import { nth } from '../ui/lists';
import { useNotices } from '../ui/Notices';
import { Loaded } from '../ui/States';
import classes from './Board.module.css';

/** Belts to order for those who are put forward or promoted, and what is in the cupboard. */
export function Cupboard({ ladder }: { ladder: Ladder }) {
  const cupboard = useCupboard(ladder.id);
  return (
    <section aria-label="Belts">
      <h3>Belts to order</h3>
      <Loaded query={cupboard}>{(belts) => <Order belts={belts} ladder={ladder} />}</Loaded>
    </section>
  );
}

const slug = (colours: string[], size: string) =>
  `${colours.join('-')}-${size}`.toLowerCase().replace(/[^a-z0-9-]+/g, '-');

function Order({ belts, ladder }: { belts: Belts; ladder: Ladder }) {
  const isHead = useSession().data?.role === 'HEAD';
  const say = useNotices();
  const changed = useChanged();
  const [adding, setAdding] = useState(false);
  const put = async (colours: string[], size: string, n: number) => {
    const kept = belts.belts.find(
      ({ belt }) => belt.colours.join() === colours.join() && belt.size === size.trim(),
    );
    const id = kept?.belt.id ?? slug(colours, size.trim());
    try {
      await send('PUT', `/belts/${id}`, { id, colours, size: size.trim(), count: n }, kept?.tag);
      await changed('belt');
      say.done(`${colours.join('-')} ${size.trim()}: ${n} there.`);
      setAdding(false);
    } catch (error) {
      say.failed(error);
    }
  };
  return (
    <>
      {belts.lines.length === 0 && belts.unsized.length === 0 && (
        <p className="quiet">Whoever is put forward or promoted stands here with colour and size.</p>
      )}
      {belts.lines.length > 0 && (
        <ul className={classes.given}>
          {belts.lines.map((line) => (
            <li key={slug(line.colours, line.size)}>
              <span className={classes.belt}>
                <Belt colours={line.colours} width={56} /> {line.size}
              </span>
              <span>
                <strong>{line.order > 0 ? `order ${line.order}` : 'all there'}</strong>{' '}
                <span className="quiet">
                  {line.wanted} wanted, {line.there} there
                </span>
              </span>
            </li>
          ))}
        </ul>
      )}
      {belts.unsized.length > 0 && <p>Size not known: {belts.unsized.join(', ')}</p>}
      <details>
        <summary>The cupboard</summary>
        <ul className={classes.given}>
          {belts.belts.map(({ belt }) => (
            <li key={belt.id}>
              <span className={classes.belt}>
                <Belt colours={belt.colours} width={56} /> {belt.size}
              </span>
              {isHead ? (
                <NumberInput
                  aria-label={`${belt.colours.join('-')} ${belt.size}: how many`}
                  w={90}
                  size="sm"
                  min={0}
                  max={1000}
                  defaultValue={belt.count}
                  onBlur={(event) => {
                    const n = Number(event.currentTarget.value);
                    if (event.currentTarget.value !== '' && n !== belt.count) put(belt.colours, belt.size, n);
                  }}
                />
              ) : (
                belt.count
              )}
            </li>
          ))}
        </ul>
        {isHead &&
          (adding ? (
            <NewKind ladder={ladder} onDone={put} onCancel={() => setAdding(false)} />
          ) : (
            <Button variant="default" size="compact-md" onClick={() => setAdding(true)}>
              Add belts
            </Button>
          ))}
      </details>
    </>
  );
}

function NewKind({
  ladder,
  onDone,
  onCancel,
}: {
  ladder: Ladder;
  onDone: (colours: string[], size: string, n: number) => void;
  onCancel: () => void;
}) {
  const [rank, setRank] = useState(nth(ladder.ranks, Math.min(1, ladder.ranks.length - 1)).id);
  const [size, setSize] = useState('');
  const [n, setN] = useState(1);
  return (
    <form
      className={classes.reason}
      onSubmit={(event) => {
        event.preventDefault();
        const colours = ladder.ranks.find((one) => one.id === rank)?.colours;
        if (colours) onDone(colours, size, n);
      }}
    >
      <label>
        Colour{' '}
        <select value={rank} onChange={(event) => setRank(event.currentTarget.value)}>
          {ladder.ranks.map((one) => (
            <option key={one.id} value={one.id}>
              {one.name}
            </option>
          ))}
        </select>
      </label>
      <TextInput
        label="Size"
        maxLength={12}
        value={size}
        onChange={(event) => setSize(event.currentTarget.value)}
      />
      <NumberInput
        label="How many"
        min={0}
        max={1000}
        value={n}
        onChange={(value) => setN(Number(value) || 0)}
      />
      <div className={classes.actions}>
        <Button type="submit" disabled={!size.trim()}>
          Keep it
        </Button>
        <Button variant="default" onClick={onCancel}>
          Cancel
        </Button>
      </div>
    </form>
  );
}
