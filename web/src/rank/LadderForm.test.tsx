// @vitest-environment jsdom
import { cleanup, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, it, vi } from 'vitest';
import type { Ladder } from '../api/types';
import { type Asked, browser, json, onStage } from '../testing/stage';
import { LadderForm } from './LadderForm';
import { blankLadder, nextRank } from './ladders';

afterEach(cleanup);

const rank = (id: string, name: string) => ({ ...nextRank([]), id, name });
const juniors: Ladder = {
  ...blankLadder(),
  id: 'juniors',
  name: 'Juniors',
  toAge: 15,
  nextLadder: 'adults',
  handOver: { 'j-white': 'white', 'j-grey': 'blue' },
  ranks: [rank('j-white', 'White'), rank('j-grey', 'Grey')],
};
const adults: Ladder = {
  ...blankLadder(),
  id: 'adults',
  name: 'Adults',
  ranks: [rank('white', 'White'), rank('blue', 'Blue')],
};

function form(ladder: Ladder | null) {
  const sent: Asked[] = [];
  browser((one) => {
    if (one.method !== 'GET') sent.push(one);
    return json(one.body ?? {}, { headers: { 'Lynchet-Edit': 'e-1' } });
  });
  const onDone = vi.fn();
  onStage(
    <LadderForm
      {...{ ladder, onDone }}
      tag={ladder && '"1"'}
      all={[juniors, adults]}
      tracks={[]}
      rulesets={[]}
      current={() => Promise.reject(new Error('nobody asks'))}
      onCancel={() => {}}
    />,
  );
  return { sent, onDone };
}

const save = () => userEvent.click(screen.getByRole('button', { name: /^Save/ }));

it('says at its field what is missing, and sends nothing before that is said', async () => {
  const { sent } = form(null);
  await save();
  expect(await screen.findByText('What is it called?')).toBeTruthy();
  expect(screen.getByText('What is this rank called?')).toBeTruthy();
  expect(sent).toEqual([]);
});

it('gives a new ladder and its ranks ids that nothing else of the club has', async () => {
  const { sent, onDone } = form(null);
  await userEvent.type(screen.getByLabelText('Name'), 'Adults');
  await userEvent.type(screen.getByLabelText('Rank'), 'White');
  await save();
  await expect.poll(() => onDone.mock.calls.length).toBe(1);
  const [{ method, body }] = sent as [Asked];
  const made = body as Ladder;
  expect(method).toBe('POST');
  expect(['adults', 'juniors']).not.toContain(made.id);
  expect(['white', 'blue', 'j-white', 'j-grey']).not.toContain(made.ranks[0]?.id);
});

it('lets the hand-over go with a rank that is taken out', async () => {
  const { sent, onDone } = form(juniors);
  const rows = screen.getByRole('group', { name: 'Ranks, the lowest first' });
  const [, second] = within(rows).getAllByRole('button', { name: /^Take .* out$/ });
  await userEvent.click(second as HTMLElement);
  await save();
  await expect.poll(() => onDone.mock.calls.length).toBe(1);
  expect(sent[0]).toMatchObject({ method: 'PUT', path: '/ladders/juniors', tag: '"1"' });
  expect((sent.at(0)?.body as Ladder | undefined)?.handOver).toEqual({ 'j-white': 'white' });
});

it('refuses ages that end before they begin', async () => {
  const { sent } = form(juniors);
  await userEvent.type(screen.getByLabelText('From age'), '16');
  await save();
  expect(await screen.findByText('It ends before it begins.')).toBeTruthy();
  expect(sent).toEqual([]);
});
