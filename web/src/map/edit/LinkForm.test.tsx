// @vitest-environment jsdom
import { cleanup, screen, waitFor, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { smallMap } from '../../testing/smallMap';
import { type Asked, browser, json, onStage } from '../../testing/stage';
import { LinkForm } from './LinkForm';

const kept = smallMap.link.get('l-sweep');
let sent: Asked[] = [];
let answer: (asked: Asked) => Response;
let isDone = false;

beforeEach(() => {
  sent = [];
  isDone = false;
  answer = ({ body }) => json(body, { headers: { 'Lynchet-Edit': '7' } });
  browser((asked) => {
    if (asked.method !== 'GET') {
      sent.push(asked);
      return answer(asked);
    }
    return asked.path.startsWith('/map/links/')
      ? json(kept, { headers: { ETag: '"one"' } })
      : json({ techniques: [], targets: [] });
  });
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const open = (link: string | null) =>
  onStage(
    <LinkForm
      map={smallMap}
      link={link}
      from="guard"
      when={null}
      onDone={() => {
        isDone = true;
      }}
      onCancel={() => {}}
    />,
  );
const field = (label: string) => screen.findByRole('combobox', { name: label });
const save = () => userEvent.click(screen.getByText('Save'));
const choose = async (label: string, option: string) => {
  await userEvent.click(await field(label));
  await userEvent.click(await screen.findByRole('option', { name: option }));
};

it('says what is missing at its field and asks the server nothing', async () => {
  open(null);
  const technique = await field('Technique');
  await userEvent.click(screen.getByText('Add a need'));
  await save();
  expect(screen.getByText('Which technique is it done with?')).toBeTruthy();
  expect(screen.getByText('Where does it lead?')).toBeTruthy();
  expect(screen.getByText('Say what is needed, or take the need out.')).toBeTruthy();
  expect(screen.getByText(/3 fields are to be put right/)).toBeTruthy();
  await waitFor(() => expect(document.activeElement).toBe(technique));
  expect(sent).toEqual([]);
});

it('sends a new link under an id of its own once it is whole', async () => {
  open(null);
  await choose('Technique', 'Scissor sweep');
  await choose('Leads to', 'Mount');
  await save();
  await waitFor(() => expect(isDone).toBe(true));
  expect(sent[0]).toMatchObject({
    method: 'POST',
    path: '/map/links',
    body: { id: 'lift-from-guard', from: 'guard', technique: 'lift', to: 'mount', note: null },
  });
});

it('does not send a note that is longer than the server takes', async () => {
  open('l-sweep');
  const note = await screen.findByLabelText('Note');
  await userEvent.click(note);
  await userEvent.paste('x'.repeat(401));
  await save();
  expect(screen.getByText('401 characters; at most 400 fit.')).toBeTruthy();
  expect(sent).toEqual([]);
  await userEvent.type(note, '{Backspace}');
  await save();
  await waitFor(() => expect(sent).toHaveLength(1));
});

it('shows what the server refuses at the field it names', async () => {
  answer = () => json({ code: 'LINK_TO', detail: 'Nobody lands there.', where: '/to' }, { status: 422 });
  open('l-sweep');
  await field('Leads to');
  await save();
  const refused = await screen.findAllByText('Nobody lands there.', { exact: false });
  expect(refused.length).toBeGreaterThan(1);
  expect((await field('Leads to')).getAttribute('aria-invalid')).toBe('true');
  expect(isDone).toBe(false);
});

it('shows both when two saved at once, and keeps mine under the new tag', async () => {
  answer = ({ tag }) =>
    tag === '"one"' ? json({ code: 'STALE', detail: 'Somebody else …' }, { status: 412 }) : json(kept);
  open('l-sweep');
  await userEvent.type(await screen.findByLabelText('Note'), 'mine');
  browser((asked) => {
    if (asked.method === 'GET') return json({ ...kept, note: 'theirs' }, { headers: { ETag: '"two"' } });
    sent.push(asked);
    return answer(asked);
  });
  await save();
  const both = await screen.findByRole('alert', { name: 'Yours and theirs' });
  expect(within(both).getByText('mine')).toBeTruthy();
  expect(within(both).getByText('theirs')).toBeTruthy();
  await userEvent.click(screen.getByText('Save mine'));
  await waitFor(() => expect(isDone).toBe(true));
  expect(sent.at(-1)).toMatchObject({ tag: '"two"', body: { note: 'mine' } });
});
