// @vitest-environment jsdom
import { cleanup, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { smallMap } from '../testing/smallMap';
import { browser, json, onStage } from '../testing/stage';
import { type Card, RoundCard } from './RoundCard';

const record = vi.fn(async (..._: unknown[]) => {});
vi.mock('../record/Recording', () => ({ useRecord: () => record }));

beforeEach(() => {
  record.mockReset();
  record.mockResolvedValue(undefined);
  browser(() => json({ leaks: [], names: {} }));
});
afterEach(cleanup);

const CARD: Card = {
  id: 'round-1',
  kind: 'LIVE',
  first: 'ana',
  second: 'bo',
  classId: 'tue',
  blockId: 'free',
  number: 2,
};
const nameOf = (id: string | null) => ({ ana: 'Ana', bo: 'Bo' })[id ?? ''] ?? 'Outside';

function card(more: Partial<Card> = {}) {
  const onDone = vi.fn();
  onStage(<RoundCard card={{ ...CARD, ...more }} map={smallMap} nameOf={nameOf} onDone={onDone} />);
  return onDone;
}

const touch = (name: string) => userEvent.click(screen.getByRole('button', { name }));
const sent = () => record.mock.calls.map(([one]) => one as { kind: string; body: Record<string, unknown> });

it('is kept after four touches, with how, who, where and what', async () => {
  const onDone = card();
  for (const name of ['Tap', 'Bo', 'Mount', 'Bent arm lock']) await touch(name);
  await expect.poll(() => onDone.mock.calls.length).toBe(1);
  expect(sent()).toEqual([
    {
      kind: 'round',
      body: {
        ...CARD,
        ended: { how: 'TAP', winner: 'SECOND', position: 'mount', link: 'l-lock' },
        words: null,
      },
    },
  ]);
  await screen.findByText('Kept: Bo by tap: Bent arm lock, from mount.');
  await touch('Undo');
  await expect.poll(() => sent()[1]).toEqual({ kind: 'unround', body: { id: 'round-1', classId: 'tue' } });
});

it('needs a winner where there is one, and nothing more where there is none', async () => {
  card();
  expect((screen.getByRole('button', { name: 'Keep it' }) as HTMLButtonElement).disabled).toBe(true);
  await touch('Points');
  expect((screen.getByRole('button', { name: 'Keep it' }) as HTMLButtonElement).disabled).toBe(true);
  await touch('Time');
  await touch('Keep it');
  expect(sent()[0]?.body.ended).toEqual({ how: 'TIME', winner: null, position: null, link: null });
});

it('keeps a tap of which nobody saw from where, and forgets the winner of what nobody won', async () => {
  card();
  await touch('Tap');
  await touch('Ana');
  await touch('Stopped');
  await touch('Keep it');
  expect(sent()[0]?.body.ended).toEqual({ how: 'STOPPED', winner: null, position: null, link: null });
});

it('corrects a card, and its undo puts the card back as it was', async () => {
  const ended = { how: 'TAP' as const, winner: 'FIRST' as const, position: 'mount', link: 'l-lock' };
  card({ ended });
  await touch('Points');
  await touch('Keep it');
  await screen.findByText('Kept: Ana by points.');
  await touch('Undo');
  await expect.poll(() => sent()[1]?.body.ended).toEqual(ended);
});
