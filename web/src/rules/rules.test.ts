import { expect, it } from 'vitest';
import { blankRules, likeRules, limited, limitOf, wrongRules } from './rules';

it('says for each danger whether it is legal, never, or from which age', () => {
  const never = limited(blankRules(), 'CHOKE', 'NEVER');
  const from = limited(limited(never, 'ARM_LOCK', 13), 'CHOKE', 16);
  expect([limitOf(never, 'CHOKE'), limitOf(from, 'CHOKE'), limitOf(from, 'ARM_LOCK')]).toEqual([
    'NEVER',
    16,
    13,
  ]);
  expect(from.illegalHazards).toHaveLength(2);
  expect(limitOf(limited(from, 'CHOKE', 'LEGAL'), 'CHOKE')).toBe('LEGAL');
});

it('makes rules from others without their id', () => {
  const base = { ...blankRules(), id: 'ground', name: 'Ground', halfThrowPoints: 2 };
  expect(likeRules(base)).toEqual({ ...base, id: '', name: 'Ground, ours' });
});

it('names each row that says nothing', () => {
  const rules = {
    ...blankRules(),
    minutes: 0,
    points: [{ family: 'SWEEP' as const, landing: null, points: 0, at: [] }],
    reached: [{ positions: [], points: 2, onlyFrom: [], unlessFrom: [] }],
    pins: [{ position: '', seconds: 0, points: 0 }],
  };
  expect(Object.keys(wrongRules(rules)).sort()).toEqual([
    'minutes',
    'name',
    'pins.0.position',
    'pins.0.seconds',
    'points.0.points',
    'reached.0.positions',
  ]);
});
