import { expect, it } from 'vitest';
import { wavesOf } from './waves';

const pairs = (n: number) => Array.from({ length: n }, (_, k) => [`a${k}`, `b${k}`]);

it('throws in as few and as even waves as the mat has room for', () => {
  expect(wavesOf(pairs(13), 5).map((wave) => wave.length)).toEqual([5, 4, 4]);
  expect(wavesOf(pairs(13), 5).flat()).toEqual(pairs(13));
  expect(wavesOf(pairs(10), 5).map((wave) => wave.length)).toEqual([5, 5]);
  expect(wavesOf(pairs(5), 5)).toEqual([pairs(5)]);
  expect(wavesOf(pairs(9), 0)).toEqual([pairs(9)]);
  expect(wavesOf([], 4)).toEqual([[]]);
});
