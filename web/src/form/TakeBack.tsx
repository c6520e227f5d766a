import { Button } from '@mantine/core';
import { useState } from 'react';
import { read, readTagged } from '../api/client';
import type { WayBackOf } from '../api/types';
import { useNotices } from '../ui/Notices';
import { count, date } from '../ui/words';
import { doneInWords } from './done';
import classes from './Edit.module.css';
import { type Place, readFrom, useEdit, useUndo } from './useEdit';

/** Where each kind that can be retired stands. */
const RETIRED_AT: Record<string, Place> = {
  technique: 'techniques',
  link: 'links',
  reaction: 'reactions',
  pair: 'positions',
};

type Props = { edit: string; label?: string; size?: 'compact-sm' | 'compact-md'; onBack?: () => void };

/**
 * Takes an edit back in one press. Where other edits stand on it they are named first and go back with it; where it cannot
 * go back, it says why and what can be done instead.
 */
export function TakeBack({ edit, label = 'Take this back', size = 'compact-md', onBack }: Props) {
  const [way, setWay] = useState<WayBackOf | null>(null);
  const [busy, setBusy] = useState(false);
  const say = useNotices();
  const undo = useUndo();
  const keeping = useEdit();
  const back = async (standing: string[]) => {
    if (await undo(edit, standing)) {
      setWay(null);
      onBack?.();
    }
  };
  const ask = async () => {
    setBusy(true);
    try {
      const found = await read(`/edits/${edit}`);
      if (found.not === null && found.with.length === 0) await back([]);
      else setWay(found);
    } catch (error) {
      say.failed(error);
    } finally {
      setBusy(false);
    }
  };
  const retire = async ({ kind, id }: { kind: string; id: string }) => {
    const place = RETIRED_AT[kind];
    if (!place) return;
    setBusy(true);
    try {
      const { tag } = await readTagged(readFrom(place, id));
      if (await keeping.retire(place, id, tag, 'Retired: it is no longer offered, what names it keeps it.'))
        setWay(null);
    } catch (error) {
      say.failed(error);
    } finally {
      setBusy(false);
    }
  };
  if (!way)
    return (
      <Button variant="default" size={size} loading={busy} onClick={ask}>
        {label}
      </Button>
    );
  return (
    <div role="alert" className={classes.standing}>
      {way.not === null ? (
        <>
          <p>
            {count(way.with.length, 'later change stands', 'later changes stand')} on it and would go back
            too:
          </p>
          <ul>
            {way.with.map((done) => (
              <li key={done.edit}>
                {doneInWords(done)}{' '}
                <span className="quiet">
                  {done.who}, {date(done.at)}
                </span>
              </li>
            ))}
          </ul>
        </>
      ) : (
        <p>
          <strong>This stays.</strong> {way.not}
        </p>
      )}
      {keeping.problem && <p>{keeping.problem.message}</p>}
      <div className={classes.buttons}>
        {way.not === null && (
          <Button size={size} onClick={() => back(way.with.map((done) => done.edit))}>
            Take {way.with.length === 1 ? 'both' : `all ${way.with.length + 1}`} back
          </Button>
        )}
        {way.retire && (
          <Button size={size} loading={busy} onClick={() => way.retire && retire(way.retire)}>
            Retire it instead
          </Button>
        )}
        <Button size={size} variant="default" onClick={() => setWay(null)}>
          Cancel
        </Button>
      </div>
    </div>
  );
}
