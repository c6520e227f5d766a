/** Someone to stand on a bank: how far up, from 0 to 1, and how wide the flag is in pixels. */
export type Flagged = { id: string; bank: number; share: number; width: number };
/** A flag in place: its pole stands at `x` on the ground at `y`; the cloth begins at `left`, `top`. */
export type Placed = Flagged & { x: number; y: number; left: number; top: number };

export const CLOTH = 32;
const GAP = 3;
const POLE = 12;

/** Where the rise of a bank ends and its lip begins. */
const LIP = 0.7;

/** The hill in section: banks of one width, each a rise and a lip, from the lower left to the upper right. */
export class Section {
  constructor(
    readonly banks: number,
    readonly width: number,
    readonly height: number,
    private readonly head = 84,
    private readonly foot = 64,
  ) {}

  get bank() {
    return this.width / this.banks;
  }

  private level(n: number) {
    const rise = (this.height - this.head - this.foot) / this.banks;
    return this.height - this.foot - n * rise;
  }

  /** The ground under a place. */
  ground(x: number): number {
    const bank = Math.min(this.banks - 1, Math.max(0, Math.floor(x / this.bank)));
    const t = Math.min(1, (x / this.bank - bank) / LIP);
    const eased = t * t * (3 - 2 * t);
    return this.level(bank) + (this.level(bank + 1) - this.level(bank)) * eased;
  }

  /** The outline as points, left to right. */
  outline(steps = 24): [number, number][] {
    const points: [number, number][] = [];
    for (let i = 0; i <= this.banks * steps; i++) {
      const x = (i * this.width) / (this.banks * steps);
      points.push([x, this.ground(Math.min(x, this.width - 0.01))]);
    }
    return points;
  }

  /** Flags where they belong, poles as long as it takes that no cloth covers another; none leaves the picture. */
  place(flags: Flagged[]): Placed[] {
    const onLip = new Map<number, number>();
    const lips = new Map<number, number>();
    for (const flag of flags) if (flag.share >= 1) lips.set(flag.bank, (lips.get(flag.bank) ?? 0) + 1);
    const stand = flags.map((flag) => {
      const from = flag.bank * this.bank;
      if (flag.share < 1) return { flag, x: from + 8 + flag.share * (LIP * this.bank - 14) };
      const n = onLip.get(flag.bank) ?? 0;
      onLip.set(flag.bank, n + 1);
      const room = (1 - LIP) * this.bank - 8;
      return { flag, x: from + LIP * this.bank + (room * (n + 0.5)) / (lips.get(flag.bank) ?? 1) };
    });
    const placed: Placed[] = [];
    for (const { flag, x } of stand.sort((a, b) => a.x - b.x || a.flag.id.localeCompare(b.flag.id))) {
      const y = this.ground(x);
      const left = Math.min(x - 2, this.width - flag.width - 2);
      let top = y - POLE - CLOTH;
      const covers = (at: number) =>
        placed.some(
          (other) =>
            left < other.left + other.width + GAP &&
            other.left < left + flag.width + GAP &&
            at < other.top + CLOTH + GAP &&
            other.top < at + CLOTH + GAP,
        );
      while (covers(top) && top > -1000) top -= 4;
      placed.push({ ...flag, x, y, left, top });
    }
    return placed;
  }
}

/** About how wide a name stands in the flag's letters. */
export const clothOf = (name: string, hasMark: boolean) => Math.ceil(name.length * 8.2 + (hasMark ? 34 : 18));
