import { compare, isArray, isReal, kindOf, Stop, textOf, type Value, whole } from "./values.ts";

/** A function that the language has; `least` and `most` values are given to it. */
export type Builtin = { name: string; least: number; most: number; gives: (given: readonly Value[]) => Value };

function wholeOf(name: string, value: Value | undefined): number {
  if (typeof value === "number") return value;
  throw new Stop(
    "wrong kind",
    `${name} needs a whole number${value === undefined ? "" : `, but here is ${textOf(value)}`}.`,
  );
}
function doubleOf(name: string, value: Value | undefined): number {
  if (typeof value === "number") return value;
  if (typeof value === "bigint") return Number(value);
  if (value !== undefined && isReal(value)) return value.real;
  throw new Stop(
    "wrong kind",
    `${name} needs a number${value === undefined ? "" : `, but here is a ${kindOf(value)}`}.`,
  );
}
function charactersOf(name: string, value: Value | undefined): string[] {
  if (typeof value === "string") return [...value];
  throw new Stop("wrong kind", `${name} needs a text${value === undefined ? "" : `, but here is a ${kindOf(value)}`}.`);
}

const floor = (name: string, value: Value | undefined, round: (each: number) => number): Value =>
  typeof value === "bigint" || typeof value === "number" ? value : wholeNumber(round(doubleOf(name, value)));
const wholeNumber = (value: number): Value =>
  Number.isSafeInteger(value) ? (value === 0 ? 0 : value) : whole(BigInt(value));

/** The whole number next to a number; a half goes to the even one. */
function evenly(value: number): number {
  const below = Math.floor(value);
  if (value - below === 0.5) return below % 2 === 0 ? below : below + 1;
  return Math.round(value);
}

/**
 * A number with so many decimals (tens, hundreds where there are fewer than none). Half goes to the even neighbour of the last
 * digit, as it does in the numbers of machines.
 */
function rounded(value: number, places: number): number {
  // No number that a program works with has digits further behind the point.
  if (!Number.isFinite(value) || places > 100) return value;
  if (places < 0) {
    const unit = 10 ** -places;
    return Number.isFinite(unit) ? evenly(value / unit) * unit : 0;
  }
  const text = value.toFixed(places);
  // What is exactly in the middle is decided by the digit before it.
  const scaled = value * 10 ** places;
  if (
    places <= 15 &&
    Math.abs(scaled) < 2 ** 52 &&
    Math.abs(scaled - Math.trunc(scaled)) === 0.5 &&
    scaled / 10 ** places === value
  )
    return evenly(scaled) / 10 ** places;
  return Number(text);
}

/** A piece of a text from a position (from 1) on; positions outside are said. */
function piece(name: string, signs: readonly string[], start: number, length: number): string {
  if (start < 1 || length < 0 || start + length - 1 > signs.length)
    throw new Stop(
      "position outside",
      `${name} asks for ${length} characters from position ${start}, but the text has ${signs.length}.`,
    );
  return signs.slice(start - 1, start - 1 + length).join("");
}

const define = (names: string, least: number, most: number, gives: Builtin["gives"]): Array<[string, Builtin]> =>
  names.split(" ").map((name) => [name.toLowerCase(), { name, least, most, gives }]);

const inText =
  (name: string) =>
  (given: readonly Value[]): Value => {
    const signs = charactersOf(name, given[0]);
    return piece(name, signs, wholeOf(name, given[1]), wholeOf(name, given[2]));
  };

/** The functions of the language by their names in small letters. */
export const builtins: ReadonlyMap<string, Builtin> = new Map([
  ...define("LENGTH LEN", 1, 1, ([value]) =>
    value !== undefined && isArray(value) ? value.array.length : charactersOf("LENGTH", value).length,
  ),
  ...define("MID SUBSTRING", 3, 3, inText("MID")),
  ...define("LEFT", 2, 2, ([text, count]) => piece("LEFT", charactersOf("LEFT", text), 1, wholeOf("LEFT", count))),
  ...define("RIGHT", 2, 2, ([text, count]) => {
    const signs = charactersOf("RIGHT", text);
    const length = wholeOf("RIGHT", count);
    return piece("RIGHT", signs, signs.length - length + 1, length);
  }),
  ...define("UPPER UCASE TO_UPPER", 1, 1, ([text]) => charactersOf("UPPER", text).join("").toUpperCase()),
  ...define("LOWER LCASE TO_LOWER", 1, 1, ([text]) => charactersOf("LOWER", text).join("").toLowerCase()),
  ...define("POSITION", 2, 2, ([text, part]) => {
    const [signs, wanted] = [charactersOf("POSITION", text), charactersOf("POSITION", part)];
    for (let at = 0; at + wanted.length <= signs.length; at++)
      if (wanted.every((sign, by) => sign === signs[at + by])) return at + 1;
    return 0;
  }),
  ...define("INT", 1, 1, ([value]) => floor("INT", value, Math.trunc)),
  ...define("FLOOR", 1, 1, ([value]) => floor("FLOOR", value, Math.floor)),
  ...define("CEILING", 1, 1, ([value]) => floor("CEILING", value, Math.ceil)),
  ...define("ROUND", 1, 2, ([value, places]) => {
    if (places === undefined) return floor("ROUND", value, (each) => rounded(each, 0));
    // Plus nothing: what is rounded to zero from below has no sign of its own.
    return { real: rounded(doubleOf("ROUND", value), wholeOf("ROUND", places)) + 0 };
  }),
  ...define("ABS", 1, 1, ([value]) => {
    if (typeof value === "bigint") return value < 0n ? -value : value;
    return typeof value === "number" ? Math.abs(value) : { real: Math.abs(doubleOf("ABS", value)) };
  }),
  ...define("SQRT", 1, 1, ([value]) => {
    const number = doubleOf("SQRT", value);
    if (number < 0) throw new Stop("no result", `${textOf(value as Value)} has no square root.`);
    return { real: Math.sqrt(number) };
  }),
  ...define("MIN", 2, 2, ([one, other]) => (compare("<", other as Value, one as Value) < 0 ? other : one) as Value),
  ...define("MAX", 2, 2, ([one, other]) => (compare(">", other as Value, one as Value) > 0 ? other : one) as Value),
  ...define("ORD ASC", 1, 1, ([text]) => {
    const signs = charactersOf("ORD", text);
    if (signs.length !== 1) throw new Stop("wrong kind", "ORD needs one character.");
    return signs[0]?.codePointAt(0) ?? 0;
  }),
  ...define("CHR", 1, 1, ([value]) => {
    const number = wholeOf("CHR", value);
    if (number < 0 || number > 0x10ffff || (number >= 0xd800 && number <= 0xdfff))
      throw new Stop("no result", `${number} is the number of no character.`);
    return String.fromCodePoint(number);
  }),
  ...define("TO_TEXT STR", 1, 1, ([value]) => textOf(value as Value)),
  ...define("TO_NUMBER NUM VAL", 1, 1, ([value]) => {
    const text = typeof value === "string" ? value.trim() : textOf(value as Value);
    if (/^[+-]?\d+$/.test(text)) return whole(BigInt(text.replace(/^\+/, "")));
    if (/^[+-]?(?:\d+\.\d*|\.\d+)$/.test(text)) return { real: Number(text) };
    throw new Stop("no number", `The text "${text}" is no number.`);
  }),
  ...define("TO_WHOLE", 1, 1, ([value]) => {
    const text = typeof value === "string" ? value.trim() : textOf(value as Value);
    if (/^[+-]?\d+$/.test(text)) return whole(BigInt(text.replace(/^\+/, "")));
    throw new Stop("no number", `The text "${text}" is no whole number.`);
  }),
]);
