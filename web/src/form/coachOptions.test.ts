import { describe, expect, it } from 'vitest';
import { coachOptions } from './coachOptions';

const head = { id: 'head', name: 'Head' };
const ana = { id: 's-1', name: 'Ana Fell' };

const all = (...asked: Parameters<typeof coachOptions>) =>
  coachOptions(...asked).map((group) => [
    group.group,
    ...group.items.map((one) => `${one.value}=${one.label}`),
  ]);

describe('whom a class may be given by', () => {
  it('offers coaches, who trains here and a name that is nobody’s', () => {
    expect(all([head], [ana], null, '', '')).toEqual([
      ['Coaches', 'head=Head'],
      ['Who trains here', 's-1=Ana Fell'],
    ]);
    expect(all([head], [ana], null, '', ' Wren ')).toContainEqual([
      'As written',
      'Wren=Wren, who does not train here',
    ]);
    expect(all([head], [ana], null, '', 'ana fell')).toHaveLength(2);
  });

  it('names nobody twice, also while the coaches are still being read', () => {
    expect(all([], [], 'head', 'head', 'head')).toEqual([['As written', 'head=head']]);
    expect(all([head], [], 'head', 'Head', 'head')).toEqual([['Coaches', 'head=Head']]);
    expect(all([ana], [ana], 's-1', 'Ana Fell', '')).toEqual([['Coaches', 's-1=Ana Fell']]);
  });

  it('keeps what is written and fits nobody', () => {
    expect(all([head], [], 'Wren Abbot', 'Wren Abbot', 'Wren Abbot')).toEqual([
      ['Coaches', 'head=Head'],
      ['As written', 'Wren Abbot=Wren Abbot'],
    ]);
  });
});
