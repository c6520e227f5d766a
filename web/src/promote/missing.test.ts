import { describe, expect, it } from 'vitest';
import type { Readiness } from '../api/types';
import { ageOn, ago, missing, when } from './missing';

const condition = (code: string, met: boolean, label: string, text: string) => ({
  code,
  met,
  label,
  have: '3',
  need: '4',
  missing: text,
  by: null,
});

const readiness = {
  verdict: 'NOT_YET',
  conditions: [
    condition('CLASSES', true, 'Classes since white', ''),
    condition('SYLLABUS', false, 'Holds', '1 more: Switch to the scarf hold'),
    condition('AGE', false, 'Age for yellow', 'turns 15 in May'),
    condition('FALLS', false, 'Falls', 'side'),
  ],
  window: '2027-03-31',
  projection: null,
} as unknown as Readiness;

describe('what is missing in one line', () => {
  it('names what is open, the first two, and how many more', () => {
    expect(missing(readiness)).toBe('Holds 3 of 4 · Age for yellow: turns 15 in May · 1 more');
    expect(missing(readiness, 3)).not.toContain('more ·');
    expect(when(readiness)).toContain('31 Mar');
    expect(when({ ...readiness, window: null, silence: 'NOT_ATTENDING' })).toContain('eight weeks');
    expect(when({ ...readiness, window: null, silence: 'TOO_EARLY' })).toBe('too early to say when');
    expect(when({ ...readiness, window: null, silence: 'TOO_FAR' })).not.toMatch(/20\d\d/);
    expect(when({ ...readiness, verdict: 'ELIGIBLE' })).toBeNull();
  });

  it('counts days and weeks back', () => {
    expect(ago('2026-11-24', '2026-11-24')).toBe('today');
    expect(ago('2026-11-11', '2026-11-24')).toBe('13 days ago');
    expect(ago('2026-10-20', '2026-11-24')).toBe('5 weeks ago');
  });

  it('knows an age on the day before and on the birthday', () => {
    expect(ageOn('2011-11-25', '2026-11-24')).toBe(14);
    expect(ageOn('2011-11-24', '2026-11-24')).toBe(15);
  });
});
