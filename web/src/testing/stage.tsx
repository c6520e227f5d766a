import { MantineProvider } from '@mantine/core';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import type { ReactNode } from 'react';
import { MemoryRouter } from 'react-router';
import { vi } from 'vitest';
import { Notices } from '../ui/Notices';

export type Asked = { method: string; path: string; body: unknown; tag: string | null };

/** What a browser has and jsdom lacks, and a server that answers by what it is asked. */
export function browser(server: (asked: Asked) => Response | Promise<Response>) {
  vi.stubGlobal('matchMedia', () => ({ matches: false, addEventListener() {}, removeEventListener() {} }));
  vi.stubGlobal(
    'ResizeObserver',
    class {
      observe() {}
      unobserve() {}
      disconnect() {}
    },
  );
  Element.prototype.scrollIntoView = () => {};
  Object.defineProperty(document, 'fonts', {
    value: { addEventListener() {}, removeEventListener() {} },
    configurable: true,
  });
  vi.stubGlobal('fetch', async (path: string, init?: RequestInit) => {
    const headers = new Headers(init?.headers);
    return server({
      method: init?.method ?? 'GET',
      path: path.replace(/^\/api/, ''),
      body: init?.body ? JSON.parse(String(init.body)) : undefined,
      tag: headers.get('If-Match'),
    });
  });
}

export const json = (value: unknown, init?: ResponseInit) => new Response(JSON.stringify(value), init);

/** A part of a screen with all that stands around it. */
export function onStage(part: ReactNode, at = '/') {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  return render(
    <MantineProvider env="test">
      <QueryClientProvider client={client}>
        <MemoryRouter initialEntries={[at]}>
          <Notices>{part}</Notices>
        </MemoryRouter>
      </QueryClientProvider>
    </MantineProvider>,
  );
}
