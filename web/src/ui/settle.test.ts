import { expect, it } from 'vitest';
import app from '../App.tsx?raw';
import { Problem } from '../api/client';
import generated from '../api/generated.ts?raw';
import { SETTLES, settles } from './settle';

const pages = [...app.matchAll(/<Route (?:path="([^"]+)"|index)/g)].map((found) => found[1] ?? '');
const isPage = (to: string) =>
  pages.some((page) => `/${page.replace(/^\//, '')}` === to || `/house/${page}` === to) ||
  pages.some((page) => new RegExp(`^${page.replaceAll(/:[a-z]+/g, '[^/]+')}$`).test(to));

it('leads from what was refused to a page that there is', () => {
  for (const [code, place] of Object.entries(SETTLES)) {
    const settle = typeof place === 'function' ? place('/ranks/adult/white') : place;
    expect(generated, code).toContain(`"${code}"`);
    expect(isPage(settle?.to ?? ''), `${code} leads to ${settle?.to}`).toBe(true);
  }
});

it('offers nothing for what is put right here', () => {
  const refused = (code: string) => new Problem(422, code, 'x');
  expect(settles(refused('BEGAN_ALREADY'), '/ranks/adult/white')?.to).toBe('/ranks/adult/versions');
  expect(settles(refused('BEGAN_ALREADY'), '/ranks/adult/versions')).toBeNull();
  expect(settles(refused('BEGAN_ALREADY'), '/people')).toBeNull();
  expect(settles(refused('LAST_HEAD'), '/house/accounts')).toBeNull();
  expect(settles(refused('TEXT_LONG'), '/people')).toBeNull();
  expect(settles(new Error('x'), '/people')).toBeNull();
});
