import { expect, it } from 'vitest';
import type { ThemeCycle } from '../../api/types';
import { nth } from '../../ui/lists';
import { moved, shifted, themeMoved, withOneMore, without } from './themes';

const cycle: ThemeCycle = {
  id: 'c',
  track: 't',
  from: '2026-11-02',
  minutes: 0,
  themes: [
    { name: 'Week 2', subjects: ['a', 'b', 'c'] },
    { name: 'Two', subjects: ['d'] },
    { name: 'Three', subjects: [] },
  ],
};
const told = ({ themes }: ThemeCycle) => themes.map((theme) => `${theme.name}: ${theme.subjects.join('')}`);

it('moves what is shown, earlier and later and into another week', () => {
  expect(told(moved(cycle, 'b', 0, 1))).toEqual(['Week 2: ac', 'Two: db', 'Three: ']);
  expect(told(moved(cycle, 'b', 0, 0))).toEqual(['Week 2: acb', 'Two: d', 'Three: ']);
  expect(nth(shifted(cycle, 0, 'c', -1).themes, 0).subjects).toEqual(['a', 'c', 'b']);
  expect(shifted(cycle, 0, 'a', -1)).toBe(cycle);
  expect(shifted(cycle, 0, 'c', 1)).toBe(cycle);
});

it('moves, adds and takes out weeks', () => {
  expect(themeMoved(cycle, 0, 2).themes.map((theme) => theme.name)).toEqual(['Two', 'Three', 'Week 2']);
  expect(themeMoved(cycle, 2, 0).themes.map((theme) => theme.name)).toEqual(['Three', 'Week 2', 'Two']);
  expect(told(without(cycle, 0))).toEqual(['Two: d', 'Three: ']);
  const more = withOneMore(without(cycle, 2));
  expect(more.themes.at(-1)).toEqual({ name: 'Week 3', subjects: [] });
  expect(nth(withOneMore({ ...cycle, themes: [{ name: 'Week 2', subjects: [] }] }).themes, 1).name).toBe(
    'Week 3',
  );
});
