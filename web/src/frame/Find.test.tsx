// @vitest-environment jsdom
import { MantineProvider } from '@mantine/core';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter, useLocation } from 'react-router';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { blankTechnique } from '../form/blanks';
import { Find } from './Find';

const answers: Record<string, unknown> = {
  '/api/map': {
    revision: 1,
    map: {
      pairs: [],
      techniques: [{ ...blankTechnique(), id: 'scissor', name: 'Scissor sweep' }],
      links: [],
      reactions: [],
    },
    centrality: {},
  },
  '/api/chains': [],
  '/api/people/names': [{ id: 'ana-test', name: 'Ana Test', calledBy: 'Ana', tracks: [], limits: [] }],
  '/api/words': [],
};
let asked: string[] = [];

const Here = () => <p data-testid="here">{useLocation().pathname}</p>;

beforeEach(() => {
  asked = [];
  vi.stubGlobal('matchMedia', () => ({ matches: false, addEventListener() {}, removeEventListener() {} }));
  vi.stubGlobal('fetch', async (path: string) => {
    asked.push(path);
    return new Response(JSON.stringify(answers[path]));
  });
  render(
    <MantineProvider>
      <QueryClientProvider client={new QueryClient()}>
        <MemoryRouter initialEntries={['/mat']}>
          <Find />
          <Here />
        </MemoryRouter>
      </QueryClientProvider>
    </MantineProvider>,
  );
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

it('reads nothing until somebody looks for something', async () => {
  expect(asked).toEqual([]);
  await userEvent.click(screen.getByRole('combobox'));
  await waitFor(() => expect(asked.sort()).toEqual(Object.keys(answers).sort()));
});

it('goes to a person with the arrows and Enter', async () => {
  await userEvent.type(screen.getByRole('combobox'), 's');
  await screen.findByText('Scissor sweep');
  await userEvent.clear(screen.getByRole('combobox'));
  await userEvent.type(screen.getByRole('combobox'), 'ana');
  await screen.findByText('Ana Test');
  await userEvent.keyboard('{Enter}');
  expect(screen.getByTestId('here').textContent).toBe('/people/ana-test');
  expect((screen.getByRole('combobox') as HTMLInputElement).value).toBe('');
});

it('is reached by a slash, but not while somebody types', async () => {
  await userEvent.keyboard('/');
  expect(document.activeElement).toBe(screen.getByRole('combobox'));
  await userEvent.keyboard('a/b');
  expect((screen.getByRole('combobox') as HTMLInputElement).value).toBe('a/b');
});
