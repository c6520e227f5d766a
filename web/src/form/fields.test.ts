import { describe, expect, it } from 'vitest';
import { freeId, inWords, slug, tenths } from './fields';

describe('ids made of names', () => {
  it('keeps letters and digits of any script that has plain ones', () => {
    expect(slug('  Ō-uchi gari / 2 ')).toBe('o-uchi-gari-2');
  });
  it('takes the first free number', () => {
    const taken = new Set(['mount', 'mount-2']);
    expect(freeId('Mount', (id) => taken.has(id))).toBe('mount-3');
    expect(freeId('Mount 9', (id) => taken.has(id))).toBe('mount-9');
    expect(
      freeId('…', () => false),
      'an address says new of what is not there yet',
    ).toBe('new-2');
    expect(freeId('New', () => false)).toBe('new-2');
  });
});

it('says fields in words and mirrors control without a minus nought', () => {
  expect(inWords('receiverFalls')).toBe('receiver falls');
  expect(Object.is(tenths(-0), 0)).toBe(true);
  expect(tenths(0.1 + 0.2)).toBe(0.3);
});
