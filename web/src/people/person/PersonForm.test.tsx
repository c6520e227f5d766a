// @vitest-environment jsdom
import { cleanup, fireEvent, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, it, vi } from 'vitest';
import type { Name, Student } from '../../api/types';
import { type Asked, browser, json, onStage } from '../../testing/stage';
import { PersonForm } from './PersonForm';

afterEach(cleanup);

const TODAY = '2026-11-24';

const somebody: Student = {
  id: 's-1',
  name: '',
  calledBy: '',
  card: null,
  born: null,
  joined: TODAY,
  left: null,
  guest: null,
  weightKg: null,
  weighed: null,
  heightCm: null,
  lead: 'RIGHT',
  tracks: [],
  priorClasses: 0,
  memberUntil: null,
  contacts: null,
  holds: [],
  restrictions: [],
  keepApart: [],
  notes: '',
  consents: [],
  beltSize: null,
  prefers: [],
};

function form(people: Name[] = []) {
  const sent: Asked[] = [];
  browser((one) => {
    if (one.method !== 'GET') sent.push(one);
    if (one.path.startsWith('/classes')) return json({ today: TODAY, classes: [] });
    return one.method === 'GET'
      ? json({ code: 'NONE', detail: 'Nothing here.' }, { status: 404 })
      : json(one.body, { headers: { 'Lynchet-Edit': 'e-1' } });
  });
  const onDone = vi.fn();
  onStage(
    <PersonForm
      opened={{ value: somebody, tag: null }}
      {...{ people, onDone }}
      views={[]}
      tracks={[]}
      held={null}
      onCancel={() => {}}
    />,
  );
  return { sent, onDone };
}

const save = () => userEvent.click(screen.getByRole('button', { name: /^(Add|Save)/ }));
const born = (day: string) =>
  fireEvent.change(screen.getByLabelText('Birth date'), { target: { value: day } });

it('takes a name and nothing else, with no empty contacts', async () => {
  const { sent, onDone } = form();
  await save();
  expect(await screen.findByText('What is their name?')).toBeTruthy();
  expect(sent).toEqual([]);
  await userEvent.type(screen.getByLabelText('Name'), 'Wren Alder');
  await save();
  await expect.poll(() => onDone.mock.calls.length).toBe(1);
  expect(sent[0]).toMatchObject({
    method: 'POST',
    path: '/people',
    body: { name: 'Wren Alder', contacts: null },
  });
});

it('asks for a guardian of somebody who is not of age, and demands none', async () => {
  const { onDone } = form();
  await userEvent.type(screen.getByLabelText('Name'), 'Wren Alder');
  expect(screen.queryByRole('note')).toBeNull();
  born('2015-03-01');
  expect((await screen.findByRole('note')).textContent).toContain('whom does the club call?');
  born('1990-03-01');
  await expect.poll(() => screen.queryByRole('note')).toBeNull();
  born('2015-03-01');
  await save();
  await expect.poll(() => onDone.mock.calls.length).toBe(1);
});

it('refuses a birth after the day of joining, and an address that is none', async () => {
  const { sent } = form();
  await userEvent.type(screen.getByLabelText('Name'), 'Wren Alder');
  born('2026-11-25');
  await save();
  expect(await screen.findByText(/Born after they joined\.|That day has not come yet\./)).toBeTruthy();
  born('2015-03-01');
  await userEvent.type(await screen.findByLabelText('Guardian’s e-mail'), 'alder at home');
  await save();
  expect(await screen.findByText('That is no e-mail address.')).toBeTruthy();
  expect(sent).toEqual([]);
});

it('asks whether somebody of this name is here already', async () => {
  form([{ id: 's-2', name: 'Wren Alder', calledBy: 'Wren' } as Name]);
  await userEvent.type(screen.getByLabelText('Name'), 'wren alder');
  expect((await screen.findByRole('link', { name: 'Wren Alder' })).getAttribute('href')).toBe('/people/s-2');
});
