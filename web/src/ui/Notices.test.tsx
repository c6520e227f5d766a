// @vitest-environment jsdom
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { Notices, useLastDone, useNotices } from './Notices';

function Speaker({ undo }: { undo: () => void }) {
  const say = useNotices();
  return (
    <button type="button" onClick={() => say.done('Ana is here.', undo)}>
      Say
    </button>
  );
}

function List() {
  const { done, opened } = useLastDone();
  return (
    <p data-testid="list" data-opened={opened}>
      {done.map((one) => one.id).join(' ')}
    </p>
  );
}

const undo = vi.fn();
beforeEach(() => {
  vi.useFakeTimers();
  undo.mockClear();
  render(
    <Notices>
      <Speaker undo={undo} />
      <List />
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

it('undoes, and is done with', () => {
  fireEvent.click(screen.getByText('Undo'));
  expect(undo).toHaveBeenCalledOnce();
  expect(screen.queryByText('Ana is here.')).toBeNull();
  expect(screen.getByTestId('list').textContent).toBe('');
});

it('stays in the list of the last ten when it has gone, and a touch on it opens the list', () => {
  expect(screen.getByTestId('list').dataset.opened).toBe('false');
  fireEvent.click(screen.getByText('Ana is here.'));
  expect(screen.getByTestId('list').dataset.opened).toBe('true');
  for (let i = 0; i < 10; i++) fireEvent.click(screen.getByText('Say'));
  pass(60_000);
  expect(screen.queryByText('Ana is here.')).toBeNull();
  expect(screen.getByTestId('list').textContent).toBe('2 3 4 5 6 7 8 9 10 11');
});

it('shows the last three', () => {
  for (let i = 0; i < 4; i++) fireEvent.click(screen.getByText('Say'));
  expect(screen.getAllByText('Ana is here.')).toHaveLength(3);
});
