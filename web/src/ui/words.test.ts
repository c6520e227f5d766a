import { expect, it } from 'vitest';
import { count, date, percent, plain, signed, time } from './words';

it('writes what the screens say', () => {
  expect(signed(-1.2)).toBe('−1.2');
  expect(signed(0.6)).toBe('+0.6');
  expect(signed(0)).toBe('0');
  expect(percent(0.666)).toBe('67 %');
  expect(count(1, 'class', 'classes')).toBe('1 class');
  expect(count(0, 'class', 'classes')).toBe('0 classes');
  expect(plain('FOOT_AND_LEG')).toBe('Foot and leg');
  expect(time('18:30:00')).toBe('18:30');
});

it('names the year of another year only', () => {
  const year = new Date().getFullYear();
  expect(date(`${year}-04-14T09:00:00Z`)).toMatch(/^\w{3} 14 Apr$/);
  expect(date('2001-04-14')).toBe('Sat 14 Apr 2001');
});
