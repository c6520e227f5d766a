import { expect, it } from 'vitest';
import { minutesAndSeconds, secondsOf } from './duration';

it('reads what a coach types', () => {
  expect(
    ['5', '5 min', '5:30', '0:45', '45 s', '1,5', '2:5', '', ' 10 '].map((typed) => secondsOf(typed)),
  ).toEqual([300, 300, 330, 45, 45, 90, 125, 0, 600]);
});

it('does not guess', () => {
  expect(['five', '5:60', '5:', ':30', '-1', '1:2:3', '5 h'].map((typed) => secondsOf(typed))).toEqual(
    Array(7).fill(null),
  );
});

it('says it as a clock', () => {
  expect([300, 45, 605, 0].map(minutesAndSeconds)).toEqual(['5:00', '0:45', '10:05', '0:00']);
});
