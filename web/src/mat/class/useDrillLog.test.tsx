// @vitest-environment jsdom
import { cleanup, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import type { Block, ClassSheet } from '../../api/types';
import { browser, json, onStage } from '../../testing/stage';
import { type Exceptions, isDrilled, loggedOf, useDrillLog } from './useDrillLog';

const record = vi.fn(async (..._: unknown[]) => {});
vi.mock('../../record/Recording', () => ({ useRecord: () => record }));

beforeEach(() => {
  record.mockReset();
  record.mockResolvedValue(undefined);
  browser(() => json({}));
});
afterEach(cleanup);

const block = (id: string, more: Partial<Block> = {}) =>
  ({
    id,
    kind: 'WHOLE_DRILL',
    title: `Block ${id}`,
    technique: 'sweep',
    chain: null,
    dose: { reps: 6, sides: 'BOTH' },
    ...more,
  }) as unknown as Block;
const sheet = {
  training: { id: 'tue', blocks: [block('a'), block('b')] },
  attendance: [],
  practice: [{ id: 'p-1', blockId: 'b', student: null, withdrawn: false }],
} as unknown as ClassSheet;

function Log({ otherwise }: { otherwise: Exceptions }) {
  const { log, takeBack } = useDrillLog(sheet);
  return (
    <>
      <button type="button" onClick={() => log([block('a')], otherwise)}>
        Log
      </button>
      <button type="button" onClick={() => takeBack(block('b'))}>
        Take back
      </button>
    </>
  );
}

const sent = () => record.mock.calls.map(([one]) => one as { kind: string; body: Record<string, unknown> });

it('logs everybody at once, and those who did otherwise by themselves', async () => {
  onStage(<Log otherwise={{ ana: 'OUT', bo: 'TWICE', cy: 'LEFT', dee: 'RECEIVED' }} />);
  await userEvent.click(screen.getByText('Log'));
  await screen.findByText('Block a is logged for everyone here.');
  expect(
    sent().map(({ body }) => [body.student ?? 'all', body.reps, body.side, body.role, body.except]),
  ).toEqual([
    ['all', 6, 'BOTH', 'PERFORMER', ['ana', 'bo', 'cy', 'dee']],
    ['bo', 12, 'BOTH', 'PERFORMER', []],
    ['cy', 6, 'LEFT', 'PERFORMER', []],
    ['dee', 6, 'BOTH', 'RECEIVER', []],
  ]);
});

it('takes back from its notice every entry it made', async () => {
  onStage(<Log otherwise={{ bo: 'TWICE' }} />);
  await userEvent.click(screen.getByText('Log'));
  await userEvent.click(await screen.findByText('Undo'));
  await expect.poll(() => sent().filter((one) => one.kind === 'withdraw').length).toBe(2);
  const made = sent().filter((one) => one.kind === 'practise');
  expect(
    sent()
      .slice(2)
      .map(({ body }) => body.id),
  ).toEqual(made.map(({ body }) => body.id));
});

it('says why when nothing could be kept, and takes back what stands of a block', async () => {
  onStage(<Log otherwise={{}} />);
  await userEvent.click(screen.getByText('Take back'));
  expect(sent()).toEqual([{ kind: 'withdraw', body: { id: 'p-1', classId: 'tue' } }]);
  record.mockRejectedValue(new Error('This device has no room left.'));
  await userEvent.click(screen.getByText('Log'));
  await screen.findByText('This device has no room left.');
});

it('knows what was drilled by a dose and a technique or a chain', () => {
  expect(isDrilled(block('a'))).toBe(true);
  expect(isDrilled(block('a', { technique: null, chain: 'c' }))).toBe(true);
  expect(isDrilled(block('a', { technique: null }))).toBe(false);
  expect(isDrilled(block('a', { dose: null }))).toBe(false);
  expect(loggedOf(sheet, block('b'))?.id).toBe('p-1');
  expect(loggedOf(sheet, block('a'))).toBeUndefined();
});
