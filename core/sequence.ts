/** A sequence of numbers from 0 to 1 that is the same for the same seed (a linear congruential generator, Numerical Recipes). */
export function sequence(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return state / 2 ** 32;
  };
}
