import { expect, test } from 'vitest';
import { type Limit, stepsOf } from './limitKinds';

const limit = (kind: Limit['kind'], number: number, from: string, until: string | null): Limit => ({
  kind,
  from,
  until,
  note: number === 1 ? 'light' : null,
  step: { number, of: 2 },
});

test('the limits of a step stand together, in the order of the steps', () => {
  const own: Limit = { kind: 'HEAD_KNOCK', from: '2026-11-20', until: null, note: null, step: null };
  expect(
    stepsOf([
      limit('NO_LIVE', 2, '2026-12-01', null),
      own,
      limit('NO_THROWS', 1, '2026-11-20', '2026-11-30'),
      limit('LIGHT_ONLY', 1, '2026-11-20', '2026-11-30'),
    ]),
  ).toEqual([
    {
      number: 1,
      of: 2,
      from: '2026-11-20',
      until: '2026-11-30',
      note: 'light',
      kinds: ['NO_THROWS', 'LIGHT_ONLY'],
    },
    { number: 2, of: 2, from: '2026-12-01', until: null, note: null, kinds: ['NO_LIVE'] },
  ]);
});
