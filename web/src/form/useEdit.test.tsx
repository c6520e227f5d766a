// @vitest-environment jsdom
import { useQuery } from '@tanstack/react-query';
import { cleanup, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, it } from 'vitest';
import { read } from '../api/client';
import { SHOWS, shownBy } from '../api/shows';
import { type Asked, browser, json, onStage } from '../testing/stage';
import { useEdit, useUndo } from './useEdit';

afterEach(cleanup);

const Shown = ({ what }: { what: string }) => {
  useQuery({ queryKey: [what], queryFn: () => read(`/${what}`), staleTime: 60_000 });
  return null;
};

function Page() {
  const { save, problem } = useEdit();
  const undo = useUndo();
  const tag = '"3"';
  return (
    <>
      {['words', 'terms', 'plans', 'people'].map((what) => (
        <Shown key={what} what={what} />
      ))}
      <button
        type="button"
        onClick={() => save({ place: 'terms', body: { id: 'autumn' }, tag, done: 'Kept.' })}
      >
        Save
      </button>
      <button type="button" onClick={() => undo('e-1', ['e-2'])}>
        Undo
      </button>
      <p>{problem?.message}</p>
    </>
  );
}

/** The page over a server, and what it asked. */
async function page(answer: (asked: Asked) => Response) {
  const asked: Asked[] = [];
  browser((one) => {
    asked.push(one);
    return answer(one);
  });
  onStage(<Page />);
  await screen.findByText('Save');
  await expect.poll(() => asked.length).toBe(4);
  return {
    asked,
    again: () =>
      asked
        .slice(4)
        .filter((one) => one.method === 'GET')
        .map((one) => one.path)
        .sort(),
  };
}

it('reads again what shows the changed thing, and nothing else', async () => {
  const { asked, again } = await page(() => json({ id: 'autumn' }, { headers: { 'Lynchet-Edit': 'e-1' } }));
  await userEvent.click(screen.getByText('Save'));
  await screen.findByText('Kept.');
  expect(asked[4]).toMatchObject({ method: 'PUT', path: '/terms/autumn', tag: '"3"' });
  await expect.poll(again).toEqual(['/plans', '/terms']);
});

it('keeps what was refused, and says why', async () => {
  const { again } = await page((one) =>
    one.method === 'PUT'
      ? json({ code: 'STALE', detail: 'Somebody was faster.' }, { status: 412 })
      : json({}),
  );
  await userEvent.click(screen.getByText('Save'));
  await screen.findByText('Somebody was faster.');
  expect(again()).toEqual([]);
});

it('takes an edit back with what stands on it, and reads again what the server says it touched', async () => {
  const { asked, again } = await page((one) =>
    json(one.method === 'POST' ? { kinds: { word: 1, robot: 2 } } : {}),
  );
  await userEvent.click(screen.getByText('Undo'));
  await screen.findByText('Taken back.');
  expect(asked[4]).toMatchObject({ method: 'POST', path: '/edits/e-1/undo?with=e-2' });
  await expect.poll(again).toEqual(['/words']);
});

it('names each list once, what the eye is on first', () => {
  expect(shownBy(['term', 'plan'])).toEqual(['terms', 'plans', 'cycles', 'classes', 'edits']);
  for (const shows of Object.values(SHOWS)) expect(new Set(shows).size).toBe(shows.length);
});
