import { expect, it } from 'vitest';
import { blankTechnique } from './blanks';
import { lacking, needed, overLimits, unsaid } from './limits';

const fault = { id: 'f', see: '', because: '', fix: '', opens: null, canHurt: false };

it('finds what is too long wherever it stands, by the path of its field', () => {
  const card = {
    ...blankTechnique(),
    name: 'x'.repeat(81),
    signs: ['short', 'y'.repeat(201)],
    faults: [fault, { ...fault, see: 'z'.repeat(5000) }],
    tags: Array.from({ length: 61 }, (_, n) => `t${n}`),
  };
  const errors = overLimits('Technique', card);
  expect(Object.keys(errors).sort()).toEqual(['faults.1.see', 'name', 'signs.1', 'tags']);
  expect(errors.name).toBe('81 characters; at most 80 fit.');
  expect(errors.tags).toBe('61 entries; at most 60 fit.');
  expect(overLimits('Technique', { ...card, name: 'x'.repeat(80), signs: [], faults: [], tags: [] })).toEqual(
    {},
  );
});

it('looks through a pair into both sides, one of which may not be there', () => {
  const side = { name: 'n'.repeat(100) };
  expect(Object.keys(overLimits('PositionPair', { first: side, second: side }))).toEqual([
    'first.name',
    'second.name',
  ]);
  expect(overLimits('PositionPair', { first: { name: 'Guard' }, second: null })).toEqual({});
});

it('names what must be said and is not', () => {
  expect(needed({ name: ' ', to: 'mount' }, { name: 'Name it.', to: 'Where to?' })).toEqual({
    name: 'Name it.',
  });
  expect(lacking('faults', [{ ...fault, see: 'seen' }, fault], { see: 'What?' })).toEqual({
    'faults.1.see': 'What?',
  });
  expect(Object.keys(unsaid('signs', ['said', '  ']))).toEqual(['signs.1']);
});
