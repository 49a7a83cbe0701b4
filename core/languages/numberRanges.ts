/** The numbers that so many bits hold with a sign. */
export function signed(bits: number): readonly [bigint, bigint] {
  return [-(2n ** BigInt(bits - 1)), 2n ** BigInt(bits - 1) - 1n];
}

/** The numbers that so many bits hold without a sign. */
export function unsigned(bits: number): readonly [bigint, bigint] {
  return [0n, 2n ** BigInt(bits) - 1n];
}
