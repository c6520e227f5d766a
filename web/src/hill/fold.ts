/** With more plots than this, terraces fold. */
export const FOLD_FROM = 150;

/** How many names a count carries. */
const NAMES = 2;

/** Plots of a folded terrace around one whole grade of control: how many, and the most central of them. */
export type Bin = { control: number; n: number; names: string[] };

/** A terrace folded: counts by control, from who is led to who leads. */
export function binsOf(plots: { name: string; control: number; centrality: number }[]): Bin[] {
  const bins = new Map<number, typeof plots>();
  for (const plot of plots) {
    const control = Math.round(plot.control) + 0;
    bins.set(control, [...(bins.get(control) ?? []), plot]);
  }
  return [...bins]
    .sort(([a], [b]) => a - b)
    .map(([control, inBin]) => ({
      control,
      n: inBin.length,
      names: [...inBin]
        .sort((a, b) => b.centrality - a.centrality || a.name.localeCompare(b.name))
        .slice(0, NAMES)
        .map((plot) => plot.name),
    }));
}
