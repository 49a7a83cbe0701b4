/**
 * A decimal number in the shortest digits that give it back (of 32 bits with `single`), with an exponent from 1e16 and below
 * 1e-4 as C's shortest forms and Python write it; a whole one ends with ".0".
 */
export function floatText(value: number, single = false): string {
  if (Number.isNaN(value)) return "nan";
  if (!Number.isFinite(value)) return value > 0 ? "inf" : "-inf";
  if (value === 0) return Object.is(value, -0) ? "-0.0" : "0.0";
  const short = single ? shortestSingle(value) : value;
  const [digits = "", exponent = "0"] = short.toExponential().split("e");
  const power = Number(exponent);
  if (power < -4 || power >= 16) {
    const sign = power < 0 ? "-" : "+";
    return `${digits}e${sign}${String(Math.abs(power)).padStart(2, "0")}`;
  }
  const plain = power < 0 ? short.toFixed(Math.min(100, digits.replace(/^-?\d\.?/, "").length - power)) : String(short);
  return plain.includes(".") ? plain : `${plain}.0`;
}

/** The number of fewest digits that is the same number in 32 bits. */
function shortestSingle(value: number): number {
  for (let digits = 1; digits < 10; digits++) {
    const short = Number(value.toPrecision(digits));
    if (Math.fround(short) === value) return short;
  }
  return value;
}
