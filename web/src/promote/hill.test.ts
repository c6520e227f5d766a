import { describe, expect, it } from 'vitest';
import { nth } from '../ui/lists';
import { CLOTH, clothOf, type Flagged, Section } from './hill';

describe('the hill of a ladder', () => {
  it('rises from bank to bank and is level on the lip', () => {
    const hill = new Section(5, 1000, 700);
    const outline = hill.outline();
    for (let i = 1; i < outline.length; i++)
      expect(nth(outline, i)[1]).toBeLessThanOrEqual(nth(outline, i - 1)[1] + 1e-9);
    expect(hill.ground(150)).toBeCloseTo(hill.ground(199));
    expect(hill.ground(0)).toBeGreaterThan(hill.ground(100));
  });

  it('stands nobody over somebody else, whoever there is', () => {
    let seed = 7;
    const random = () => {
      seed = (seed * 1103515245 + 12345) % 2147483648;
      return seed / 2147483648;
    };
    for (let run = 0; run < 40; run++) {
      const banks = 1 + Math.floor(random() * 8);
      const flags: Flagged[] = Array.from({ length: Math.floor(random() * 60) }, (_, n) => ({
        id: `s${n}`,
        bank: Math.floor(random() * banks),
        share: random() < 0.3 ? 1 : Math.floor(random() * 9) / 9,
        width: clothOf('x'.repeat(3 + Math.floor(random() * 9)), random() < 0.5),
      }));
      const placed = new Section(banks, 1000, 640).place(flags);
      expect(placed).toHaveLength(flags.length);
      for (const a of placed) {
        expect(a.left + a.width).toBeLessThanOrEqual(1000);
        for (const b of placed)
          if (a !== b)
            expect(
              a.left + a.width <= b.left ||
                b.left + b.width <= a.left ||
                a.top + CLOTH <= b.top ||
                b.top + CLOTH <= a.top,
            ).toBe(true);
      }
    }
  });

  it('puts whoever has met more further up', () => {
    const placed = new Section(2, 800, 600).place([
      { id: 'low', bank: 0, share: 0.2, width: 50 },
      { id: 'high', bank: 0, share: 0.8, width: 50 },
      { id: 'lip', bank: 0, share: 1, width: 50 },
    ]);
    const at = (id: string) => placed.find((one) => one.id === id);
    expect(at('low')?.x).toBeLessThan(at('high')?.x ?? 0);
    expect(at('high')?.x).toBeLessThan(at('lip')?.x ?? 0);
  });
});
