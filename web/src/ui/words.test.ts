import { expect, it } from 'vitest';
import { conditionLabel, count, date, figureInWords, isNow, percent, plain, signed, time } from './words';

it('writes what the screens say', () => {
  expect(signed(-1.2)).toBe('−1.2');
  expect(signed(0.6)).toBe('+0.6');
  expect(signed(0)).toBe('0');
  expect(percent(0.666)).toBe('67 %');
  expect(percent(0)).toBe('0 %');
  expect(percent(0.0049)).toBe('under 1 %');
  expect(percent(0.005)).toBe('1 %');
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

it('knows what holds today and what is over', () => {
  const today = new Date(2026, 2, 5);
  expect(isNow('2026-03-05', '2026-03-05', today)).toBe(true);
  expect(isNow('2026-03-01', '2026-03-04', today)).toBe(false);
  expect(isNow('2026-03-06', null, today)).toBe(false);
  expect(isNow('2026-03-01', null, today)).toBe(true);
});

it('says how far a condition is met as a coach would', () => {
  const said = (label: string, have: string, need: string) => figureInWords({ label, have, need });
  expect(said('Classes since Green', '205', '96')).toBe('205 (96 needed)');
  expect(said('Time in rank', '84 weeks', '39 weeks')).toBe('84 weeks (39 needed)');
  expect(said('Membership', '2027-09-09', 'valid')).toBe(`paid until ${date('2027-09-09')}`);
  expect(said('Throws', '2', '5')).toBe('2 of 5');
  expect(said('No hold', 'held', 'none')).toBe('');
  expect([said('Conduct', 'not seen', 'seen'), said('Conduct', 'seen 2026-03-01', 'seen')]).toEqual([
    '',
    `seen ${date('2026-03-01')}`,
  ]);
  expect(conditionLabel({ label: 'No hold' })).toBe('Not held back');
});
