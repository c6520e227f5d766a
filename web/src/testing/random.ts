/** Numbers from 0 to 1 by a seed, so that a red run can be run again; for tests. */
export function random(seed: number) {
  let state = seed;
  return () => {
    state = (state * 1664525 + 1013904223) % 4294967296;
    return state / 4294967296;
  };
}
