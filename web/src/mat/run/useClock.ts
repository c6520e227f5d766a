import { useCallback, useEffect, useRef, useState } from 'react';
import { ring, unlockBell } from './bell';
import {
  bellBetween,
  type Clock,
  dialOf,
  longer,
  NOT_BEGUN,
  paused,
  type Stretch,
  started,
  turned,
} from './clock';

const LOOK = 250;

/** An evening is over by then. */
const LONGEST = 14 * 3600 * 1000;

const keyOf = (classId: string) => `clock-${classId}`;

function stored(classId: string): Clock {
  try {
    const { clock, kept } = JSON.parse(localStorage.getItem(keyOf(classId)) ?? '{}');
    return clock && Date.now() - kept < LONGEST ? clock : NOT_BEGUN;
  } catch {
    return NOT_BEGUN;
  }
}

/** Lets go of clocks of other evenings. */
function tidy() {
  for (const key of Object.keys(localStorage))
    if (key.startsWith('clock-') && stored(key.slice(6)) === NOT_BEGUN) localStorage.removeItem(key);
}

/**
 * The clock of a class on this device: it outlives a reload, and another window of the device shows the same.
 *
 * @param rings whether the bell rings in this window
 */
export function useClock(classId: string, stretches: Stretch[], rings: boolean) {
  const [clock, setClock] = useState(() => stored(classId));
  const [now, setNow] = useState(Date.now);
  const looked = useRef(now);
  const dial = dialOf(clock, stretches, now);
  useEffect(() => {
    const heard = (event: StorageEvent) => event.key === keyOf(classId) && setClock(stored(classId));
    window.addEventListener('storage', heard);
    return () => window.removeEventListener('storage', heard);
  }, [classId]);
  useEffect(() => {
    if (!dial.runs) return;
    looked.current = Date.now();
    const elapsedAt = (ms: number) => dialOf(clock, stretches, ms).elapsed;
    const timer = setInterval(() => {
      const at = Date.now();
      const bell = rings ? bellBetween(clock, stretches, looked.current, at) : null;
      looked.current = at;
      if (bell) ring(bell);
      // The dial shows seconds: within one nothing is drawn again.
      setNow((was) => (elapsedAt(at) === elapsedAt(was) ? was : at));
    }, LOOK);
    return () => clearInterval(timer);
  }, [dial.runs, rings, clock, stretches]);
  const change = useCallback(
    (next: (clock: Clock, at: number) => Clock) => {
      const at = Date.now();
      const changed = next(stored(classId), at);
      tidy();
      localStorage.setItem(keyOf(classId), JSON.stringify({ clock: changed, kept: at }));
      setClock(changed);
      setNow(at);
    },
    [classId],
  );
  return {
    at: clock.at,
    dial,
    start: () => {
      unlockBell();
      change(started);
    },
    pause: () => change(paused),
    longer: () => change(longer),
    turn: (to: number) => change((was, at) => turned(was, to, stretches.length, at)),
    begin: () => change(() => NOT_BEGUN),
  };
}

export type Running = ReturnType<typeof useClock>;
