/** A decimal number of at most so many digits, as .NET's "G" format writes it. */
export function general(value: number, digits: number): string {
  if (Number.isNaN(value)) return "NaN";
  if (!Number.isFinite(value)) return value > 0 ? "Infinity" : "-Infinity";
  if (value === 0) return "0";
  const [mantissa = "", exponent = "0"] = value.toExponential(digits - 1).split("e");
  const power = Number(exponent);
  const short = mantissa.includes(".") ? mantissa.replace(/\.?0+$/, "") : mantissa;
  if (power < -5 || power >= digits) {
    const sign = power < 0 ? "-" : "+";
    return `${short}E${sign}${String(Math.abs(power)).padStart(2, "0")}`;
  }
  const fixed = Number(value.toPrecision(digits)).toFixed(Math.max(0, digits - 1 - power));
  return fixed.includes(".") ? fixed.replace(/\.?0+$/, "") : fixed;
}

/** "R": the first of two lengths that gives the number back (.NET Framework and mono). */
export function decimal(value: number, single: boolean): string {
  const short = general(value, single ? 7 : 15);
  const back = single ? Math.fround(Number(short)) : Number(short);
  return Object.is(back, value) || short === "NaN" || /Inf/.test(short) || value === 0
    ? short
    : general(value, single ? 9 : 17);
}
