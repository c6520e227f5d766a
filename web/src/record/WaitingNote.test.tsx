// @vitest-environment jsdom
import 'fake-indexeddb/auto';
import { MantineProvider } from '@mantine/core';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { openKept } from './kept';
import { Recording, useRecord } from './Recording';
import { NotTaken, WaitingNote } from './WaitingNote';

let answer: () => Response | Promise<Response>;
let posted = 0;
let database = 0;

function Mark() {
  const record = useRecord();
  const mark = () =>
    record({ kind: 'mark', body: { id: `m${Math.random()}`, student: 'ana' } }, 'Ana, Scissor sweep: pass');
  const knock = () =>
    record(
      {
        kind: 'incident',
        body: {
          id: `i${Math.random()}`,
          student: 'ana',
          classId: null,
          kind: 'HEAD_KNOCK',
          on: '2026-11-24',
          time: null,
          partner: null,
        },
      },
      'Ana, head knock',
    );
  return (
    <>
      <button type="button" onClick={mark}>
        Pass
      </button>
      <button type="button" onClick={knock}>
        Knock
      </button>
    </>
  );
}

beforeEach(() => {
  posted = 0;
  vi.stubGlobal('matchMedia', () => ({ matches: false, addEventListener() {}, removeEventListener() {} }));
  vi.stubGlobal(
    'ResizeObserver',
    class {
      observe() {}
      unobserve() {}
      disconnect() {}
    },
  );
  vi.stubGlobal('fetch', async (path: string) => {
    if (!['/api/marks', '/api/incidents'].includes(path)) return new Response('{}');
    posted++;
    return answer();
  });
  const client = new QueryClient();
  client.setQueryData(['session'], { session: { name: 'coach', role: 'COACH' } });
  database++;
  render(
    <MantineProvider>
      <QueryClientProvider client={client}>
        <Recording kept={openKept(`note-${database}`)}>
          <Mark />
          <WaitingNote />
          <NotTaken />
        </Recording>
      </QueryClientProvider>
    </MantineProvider>,
  );
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

it('counts what waits while the server is away, and says what it is', async () => {
  answer = () => Promise.reject(new TypeError('no network'));
  await userEvent.click(screen.getByText('Pass'));
  await userEvent.click(await screen.findByText('1 waiting to send'));
  await screen.findByText('Ana, Scissor sweep: pass');
  await screen.findByText(/The server does not answer/);
  answer = () => new Response('{}');
  window.dispatchEvent(new Event('online'));
  await waitFor(() => expect(document.querySelector('[data-waiting]')).toBeNull());
});

it('shows why something was not taken, sends it again, or lets it go', async () => {
  answer = () => new Response(JSON.stringify({ detail: 'There is no student ana.' }), { status: 422 });
  await userEvent.click(screen.getByText('Pass'));
  await userEvent.click(await screen.findByText('1 not taken'));
  await screen.findByText('There is no student ana.');
  const before = posted;
  await userEvent.click(screen.getByText('Send again'));
  await waitFor(() => expect(posted).toBe(before + 1));
  await userEvent.click(await screen.findByText('Let it go'));
  await waitFor(() => expect(document.querySelector('[data-waiting]')).toBeNull());
});

it('says in red over every page that an incident was not taken, and nothing of a mark', async () => {
  answer = () => new Response(JSON.stringify({ detail: 'There is no student ana.' }), { status: 422 });
  await userEvent.click(screen.getByText('Pass'));
  await screen.findByText('1 not taken');
  expect(screen.queryByRole('alert')).toBeNull();
  await userEvent.click(screen.getByText('Knock'));
  expect((await screen.findByRole('alert')).textContent).toContain('Ana, head knock');
});
