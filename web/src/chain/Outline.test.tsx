// @vitest-environment jsdom
import { cleanup, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import type { Chain, ChainStep } from '../api/types';
import { smallMap } from '../testing/smallMap';
import { browser, json, onStage } from '../testing/stage';
import { Outline } from './Outline';

let first: ChainStep | null = null;

function Written({ readOnly = false }: { readOnly?: boolean }) {
  const [chain, set] = useState<Chain>({
    id: 'c',
    name: 'A chain',
    intent: '',
    owner: null,
    start: 'guard',
    first,
    retired: false,
  });
  return (
    <Outline
      map={smallMap}
      chain={chain}
      labels={new Map()}
      readOnly={readOnly}
      onChange={(next) => {
        first = next;
        set({ ...chain, first: next });
      }}
    />
  );
}

beforeEach(() => {
  first = null;
  browser(() => json({}));
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const at = (where: string) => screen.findByRole('combobox', { name: where });
const offered = () => screen.queryAllByRole('option').map((option) => option.textContent);

it('offers only what starts where you are, and writes the main line down to the tap', async () => {
  onStage(<Written />);
  await userEvent.click(await at('Next from Guard'));
  expect(offered()).toEqual(['Hip-bump sweep → Mount']);
  await userEvent.keyboard('hip{Enter}');
  await userEvent.click(await at('Next from Mount'));
  expect(offered()).toEqual(['Bent arm lock → tap', 'if they post the far hand opens a turn-off']);
  await userEvent.keyboard('bent{Enter}');
  await at('The line ends in a tap');
  expect(first).toEqual({
    link: 'l-sweep',
    next: [{ reaction: null, step: { link: 'l-lock', next: [] } }],
  });
});

it('opens a turn-off at “if”, leaves it on an empty line, and goes on where it left', async () => {
  onStage(<Written />);
  await userEvent.type(await at('Next from Guard'), 'hip{Enter}');
  await userEvent.type(await at('Next from Mount'), 'if they{Enter}');
  await userEvent.type(await at('Next from Guard'), 'scissor{Enter}');
  await userEvent.type(await at('Next from Mount'), '{Enter}');
  await userEvent.type(await at('Next from Mount'), 'bent{Enter}');
  expect(first?.next.map((turn) => [turn.reaction, turn.step.link])).toEqual([
    ['r-post', 'l-lift'],
    [null, 'l-lock'],
  ]);
});

it('takes the last step out with Backspace on an empty line, and not while there is text', async () => {
  onStage(<Written />);
  await userEvent.type(await at('Next from Guard'), 'hip{Enter}');
  await userEvent.type(await at('Next from Mount'), 'b{Backspace}');
  expect(first?.link).toBe('l-sweep');
  await userEvent.keyboard('{Backspace}');
  expect(first).toBeNull();
  await at('Next from Guard');
});

it('has nothing to type in for somebody who reads', async () => {
  first = { link: 'l-sweep', next: [] };
  onStage(<Written readOnly />);
  await screen.findByText('Hip-bump sweep');
  expect(screen.queryByRole('combobox')).toBeNull();
});
