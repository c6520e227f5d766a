import { describe, expect, it } from 'vitest';
import { fold, type Hit, oneSlip, search } from './search';

type Card = { id: string; name: string; aliases?: { text: string }[] };

const FILES = import.meta.glob<{ techniques: Card[] }>(
  '../../../starter/src/main/resources/starter/techniques/**/*.json',
  { eager: true, import: 'default' },
);
const CARDS = Object.values(FILES).flatMap((file) => file.techniques);
const HITS: Hit[] = CARDS.map((card) => ({
  key: card.id,
  name: card.name,
  also: '',
  to: card.id,
  names: [card.name, ...(card.aliases ?? []).map((a) => a.text)].map(fold),
}));

describe('finding in the full library', () => {
  it.each([
    ['o-soto-gari', 'major-outer-reap'],
    ['OSOTOGARI', 'major-outer-reap'],
    ['ō-soto-gari', 'major-outer-reap'],
    ['o soto gary', 'major-outer-reap'],
    ['ouchi gari', 'major-inner-reap'],
    ['tai otoshi', 'body-drop'],
    ['tai otohsi', 'body-drop'],
    ['harai goshi', 'hip-sweep'],
    ['barai goshi', 'hip-sweep'],
    ['whizzer', 'overhook-clamp'],
    ['whizer', 'overhook-clamp'],
    ['guillotine', 'front-choke'],
    ['guilotine', 'front-choke'],
    ['omoplata', 'leg-shoulder-lock'],
    ['firemans carry', 'shoulder-wheel'],
    ['knee cut', 'knee-slide-pass'],
    ['sit-out', 'sit-out'],
    ['hadaka jime', 'rear-choke'],
    ['hip bmup', 'hip-bump-sweep'],
  ])('%s leads to %s', (text, id) => {
    expect(search(HITS, text)[0]?.key).toBe(id);
  });

  it('leads from every name to its own technique', () => {
    for (const card of CARDS) {
      for (const name of [card.name, ...(card.aliases ?? []).map((a) => a.text)]) {
        expect(search(HITS, name).map((hit) => hit.key)).toContain(card.id);
      }
    }
  });

  it('forgives one slip, not two, and none in short words', () => {
    expect(oneSlip(fold('body drop'), 'bodydorp', true)).toBe(true);
    expect(oneSlip(fold('body drop'), 'bodyrdp', true)).toBe(false);
    expect(oneSlip(fold('the body drop'), 'budydrop', false)).toBe(true);
    expect(oneSlip(fold('the body drop'), 'budydrop', true)).toBe(false);
    expect(search(HITS, 'xrm')).toEqual([]);
  });
});
