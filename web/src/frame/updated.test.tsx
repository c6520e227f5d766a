// @vitest-environment jsdom
import { render } from '@testing-library/react';
import { beforeEach, expect, it, vi } from 'vitest';
import { goOnAfterAnUpdate, reloadOnce, typedBefore, typedIn } from './updated';

beforeEach(() => sessionStorage.clear());

it('loads the page again once when a part of it is gone, and keeps what was typed', () => {
  const { container } = render(
    <form>
      <label>
        Why they stay
        <textarea defaultValue="calm down first" />
      </label>
      <input aria-label="Name" defaultValue="  " />
      <input type="password" defaultValue="secret" />
    </form>,
  );
  const reload = vi.fn();
  expect(reloadOnce(sessionStorage, typedIn(container), reload, 1_000_000)).toBe(true);
  expect(reloadOnce(sessionStorage, typedIn(container), reload, 1_050_000), 'it is gone for good').toBe(
    false,
  );
  expect(reload).toHaveBeenCalledTimes(1);
  expect(typedBefore(sessionStorage)).toEqual([
    { label: expect.stringContaining('Why they stay'), text: 'calm down first' },
  ]);
  expect(reloadOnce(sessionStorage, [], reload, 1_070_000), 'the next update').toBe(true);
  expect(typedBefore(sessionStorage), 'not taken out by nothing').toHaveLength(1);
});

it('leaves the page as it is while the server does not answer', async () => {
  const asked = vi.fn(async () => false);
  goOnAfterAnUpdate(asked);
  window.dispatchEvent(new Event('vite:preloadError'));
  await Promise.resolve();
  expect(asked).toHaveBeenCalledTimes(1);
  expect(sessionStorage.getItem('reloaded-at')).toBeNull();
});
