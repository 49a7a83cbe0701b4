/** Powers beyond which nothing is worked out digit by digit. */
const mostExponent = 200;

/** A decimal number as a whole number times a power of two. */
function apart(value: number): { digits: bigint; twos: number } {
  const view = new DataView(new ArrayBuffer(8));
  view.setFloat64(0, value);
  const bits = view.getBigUint64(0);
  const exponent = Number((bits >> 52n) & 0x7ffn);
  const fraction = bits & 0xfffffffffffffn;
  const digits = exponent === 0 ? fraction : fraction | (1n << 52n);
  return { digits: value < 0 ? -digits : digits, twos: Math.max(1, exponent) - 1075 };
}

/** The number nearest to `top / bottom * 2 ** twos`, both above 0. */
function nearest(top: bigint, bottom: bigint, twos: number): number {
  const room = Math.max(0, 70 + bottom.toString(2).length - top.toString(2).length);
  const scaled = top << BigInt(room);
  let whole = scaled / bottom;
  if (scaled % bottom !== 0n) whole |= 1n;
  // More than 64 digits with the rest marked in the last one are rounded once, to the nearest.
  const spare = Math.max(0, whole.toString(2).length - 70);
  if (spare > 0) whole = (whole >> BigInt(spare)) | (BigInt.asUintN(spare, whole) === 0n ? 0n : 1n);
  const power = twos - room + spare;
  const half = Math.trunc(power / 2);
  return Number(whole) * 2 ** half * 2 ** (power - half);
}

/**
 * A decimal number to a power, rounded once, as the C library gives it (`Math.pow` may be off in the last digit); null where the
 * exponent is no whole number, or so large that it is not worked out.
 */
export function power(base: number, exponent: number): number | null {
  if (!Number.isFinite(base) || !Number.isFinite(exponent) || base === 0 || exponent === 0) return base ** exponent;
  if (exponent === 0.5 && base > 0) return Math.sqrt(base);
  if (!Number.isInteger(exponent) || Math.abs(exponent) > mostExponent) return null;
  const { digits, twos } = apart(Math.abs(base));
  const times = Math.abs(exponent);
  const size = digits ** BigInt(times);
  const result = exponent > 0 ? nearest(size, 1n, twos * times) : nearest(1n, size, -twos * times);
  return base < 0 && times % 2 === 1 ? -result : result;
}
