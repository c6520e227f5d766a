// @vitest-environment jsdom
import { afterEach, describe, expect, it, vi } from 'vitest';
import { send } from './client';

const answers = (...said: [number, unknown][]) => {
  const fetched = vi.fn();
  for (const [status, body] of said)
    fetched.mockResolvedValueOnce(new Response(JSON.stringify(body), { status }));
  vi.stubGlobal('fetch', fetched);
  return fetched;
};

describe('a request whose token has changed on the way', () => {
  afterEach(() => vi.unstubAllGlobals());

  it('is sent once more with the one there is now', async () => {
    const fetched = answers([403, { code: 'CSRF', detail: 'no' }], [200, { name: 'marta' }]);
    expect(await send('POST', '/session/link/look', { link: 'x' })).toEqual({ name: 'marta' });
    expect(fetched).toHaveBeenCalledTimes(2);
  });

  it('is refused when it is refused again, and nothing else is sent twice', async () => {
    const twice = answers([403, { code: 'CSRF', detail: 'no' }], [403, { code: 'CSRF', detail: 'no' }]);
    await expect(send('POST', '/marks', {})).rejects.toMatchObject({ code: 'CSRF' });
    expect(twice).toHaveBeenCalledTimes(2);
    const once = answers([403, { code: 'NOT_ALLOWED', detail: 'no' }]);
    await expect(send('POST', '/marks', {})).rejects.toMatchObject({ code: 'NOT_ALLOWED' });
    expect(once).toHaveBeenCalledTimes(1);
  });
});
