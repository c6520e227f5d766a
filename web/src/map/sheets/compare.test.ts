import { expect, it } from 'vitest';
import type { LadderView } from '../../api/types';
import { addedBetween } from './compare';

it('finds what is taught between two ranks, whichever comes first', () => {
  const view = {
    ladder: { ranks: ['white', 'yellow', 'green'].map((id) => ({ id, name: id })) },
    taughtAt: { a: 'white', b: 'yellow', c: 'green' },
  } as unknown as LadderView;
  expect(addedBetween(view, 'green', 'white').techniques).toEqual(['b', 'c']);
  expect(addedBetween(view, 'white', 'yellow')).toMatchObject({
    higher: { id: 'yellow' },
    lower: { id: 'white' },
    techniques: ['b'],
  });
});
