import { expect, it, vi } from 'vitest';
import { send } from './client';
import { pageOf, placesOf, reportError } from './report';

vi.mock('./client', () => ({ send: vi.fn(() => Promise.resolve()) }));

it('says where it broke and nothing of whom', () => {
  expect(pageOf('/people/s-00112233')).toBe('/people/-');
  expect(pageOf('/ranks/adult/green')).toBe('/ranks/-/-');
  expect(pageOf('/')).toBe('/');
  expect(
    placesOf(
      "TypeError: Ada Quickly's mother is not a function\n" +
        '    at Judge (http://10.0.0.7:8080/assets/Judge-abc123.js:1:2345)\n' +
        '    at http://10.0.0.7:8080/assets/index-77.js:9:1',
    ),
  ).toEqual(['Judge-abc123.js:1:2345', 'index-77.js:9:1']);
});

it('tells each place once, and no more than five', () => {
  vi.stubGlobal('location', { pathname: '/people/s-1' });
  for (let n = 0; n < 20; n++) {
    const error = new TypeError('private words');
    error.stack = `TypeError: private words\n    at A (http://host/assets/A.js:${1 + Math.floor(n / 2)}:7)`;
    reportError(error);
  }
  vi.unstubAllGlobals();
  const told = vi.mocked(send).mock.calls.map(([, , body]) => body);
  expect(told).toHaveLength(5);
  expect(told[0]).toEqual({ page: '/people/-', error: 'TypeError', stack: ['A.js:1:7'] });
  expect(JSON.stringify(told)).not.toContain('private');
});
