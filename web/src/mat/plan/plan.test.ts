import { expect, it } from 'vitest';
import type { Technique } from '../../api/types';
import { blankBlock, doseWords, stepsOf } from './plan';

it('says a dose in words and takes the steps of a part drill', () => {
  expect(doseWords({ reps: 8, sides: 'BOTH', swaps: 2 })).toBe('8 each side, then swap');
  expect(doseWords({ reps: 5, sides: 'LEFT', swaps: 0 })).toBe('5 left only');
  const steps = ['grip', 'step in', 'turn', 'throw'].map((text) => ({ text, cue: null, footwork: null }));
  const throwing = { steps } as Technique;
  const part = { ...blankBlock('PART_DRILL', 10), fromStep: 2, toStep: 3 };
  expect(stepsOf(part, throwing)).toEqual(['step in', 'turn']);
  expect(stepsOf({ ...part, toStep: 0 }, throwing)).toEqual(['step in', 'turn', 'throw']);
  expect(stepsOf({ ...part, fromStep: 0, toStep: 0 }, throwing)).toEqual([]);
  expect(stepsOf({ ...part, kind: 'WHOLE_DRILL' }, throwing)).toEqual([]);
  expect(stepsOf(part, undefined)).toEqual([]);
});
