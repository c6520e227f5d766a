/** How many pairs can throw at once on a mat, each on a square of its own. */
export const pairsThatThrow = (length: number, width: number, side: number) =>
  side > 0 ? Math.floor(length / side + 1e-9) * Math.floor(width / side + 1e-9) : 0;
