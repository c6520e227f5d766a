// @vitest-environment jsdom
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { Notices, useNotices } from './Notices';

function Speaker({ undo }: { undo: () => void }) {
  const say = useNotices();
  return (
    <button type="button" onClick={() => say.done('Ana is here.', undo)}>
      Say
    </button>
  );
}

const undo = vi.fn();
beforeEach(() => {
  vi.useFakeTimers();
  undo.mockClear();
  render(
    <Notices>
      <Speaker undo={undo} />
    </Notices>,
  );
  fireEvent.click(screen.getByText('Say'));
});
afterEach(() => {
  vi.useRealTimers();
  cleanup();
});
const pass = (ms: number) => act(() => vi.advanceTimersByTime(ms));

it('goes by itself', () => {
  pass(6900);
  expect(screen.queryByText('Ana is here.')).not.toBeNull();
  pass(200);
  expect(screen.queryByText('Ana is here.')).toBeNull();
});

it('stays while the focus or the pointer is at it', () => {
  fireEvent.focus(screen.getByText('Undo'));
  pass(60_000);
  expect(screen.queryByText('Ana is here.')).not.toBeNull();
  fireEvent.blur(screen.getByText('Undo'));
  pass(7100);
  expect(screen.queryByText('Ana is here.')).toBeNull();
});

it('is reached by a key, and undoes', () => {
  fireEvent.keyDown(document.documentElement, { key: 'u' });
  expect(document.activeElement?.textContent).toBe('Undo');
  fireEvent.click(document.activeElement as Element);
  expect(undo).toHaveBeenCalledOnce();
  expect(screen.queryByText('Ana is here.')).toBeNull();
});

it('shows the last three', () => {
  for (let i = 0; i < 4; i++) fireEvent.click(screen.getByText('Say'));
  expect(screen.getAllByText('Ana is here.')).toHaveLength(3);
});
