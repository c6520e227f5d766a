import type { CycleView, Theme, ThemeCycle } from '../../api/types';
import { nth, stepped } from '../../ui/lists';

const withThemes = (cycle: ThemeCycle, themes: Theme[]): ThemeCycle => ({ ...cycle, themes });

/** The cycle with one of its themes changed. */
export const withTheme = (cycle: ThemeCycle, n: number, part: Partial<Theme>): ThemeCycle =>
  withThemes(
    cycle,
    cycle.themes.map((theme, at) => (at === n ? { ...theme, ...part } : theme)),
  );

/** With a further week at the end, under a name that is free. */
export const withOneMore = (cycle: ThemeCycle): ThemeCycle => {
  const names = new Set(cycle.themes.map((theme) => theme.name));
  let n = cycle.themes.length + 1;
  while (names.has(`Week ${n}`)) n++;
  return withThemes(cycle, [...cycle.themes, { name: `Week ${n}`, subjects: [] }]);
};

export const without = (cycle: ThemeCycle, n: number): ThemeCycle =>
  withThemes(
    cycle,
    cycle.themes.filter((_, at) => at !== n),
  );

/** With a week standing elsewhere in the round. */
export const themeMoved = (cycle: ThemeCycle, from: number, to: number): ThemeCycle => {
  const themes = without(cycle, from).themes;
  return withThemes(cycle, [...themes.slice(0, to), nth(cycle.themes, from), ...themes.slice(to)]);
};

/** With something shown in another week. */
export const moved = (cycle: ThemeCycle, subject: string, from: number, to: number): ThemeCycle =>
  withThemes(
    cycle,
    cycle.themes.map((theme, at) => {
      const others = theme.subjects.filter((one) => one !== subject);
      if (at === to) return { ...theme, subjects: [...others, subject] };
      return at === from ? { ...theme, subjects: others } : theme;
    }),
  );

/** With something shown earlier or later in its week. */
export const shifted = (cycle: ThemeCycle, n: number, subject: string, step: -1 | 1): ThemeCycle => {
  const { subjects } = nth(cycle.themes, n);
  const after = stepped(subjects, subjects.indexOf(subject), step);
  return after === subjects ? cycle : withTheme(cycle, n, { subjects: after });
};

/** The next week of a theme; none where the track has no classes. */
export const nextOf = (view: CycleView, n: number) => view.weeks.find((week) => week.theme === n);

/** Minutes that the classes of a usual week bear together. */
export const bears = (view: CycleView) => view.bears.reduce((sum, one) => sum + one, 0);
