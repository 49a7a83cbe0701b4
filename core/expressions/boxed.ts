import type { Value } from "../trace/trace.ts";
import { converted, type NumberTypes, readLetter, unescaped } from "./fixedWidth.ts";
import { type Known, notTakenApart, recordedList, text, truth, unknown, whole } from "./known.ts";
import type { Answer } from "./rules.ts";

/** What Java and C# call their types: plain names by those under which values are recorded, truths and texts. */
export type BoxedNames = { plain: Readonly<Record<string, string>>; truth: string; text: string };

/** A value as the recorders of Java and C# give it. */
export function recordedBoxed(value: Value, types: NumberTypes, names: BoxedNames): Answer {
  const { type, text: written } = value;
  const name = names.plain[type] ?? type;
  if (written === undefined) return recordedList(value, (item) => recordedBoxed(item, types, names));
  if (name === "null") return { kind: "nothing", type: "null" };
  if (name === names.truth) return truth(written === "true", name);
  if (name === "char") return readLetter(written, "char");
  if (name === names.text) {
    const inside = unescaped(written.slice(1, -1));
    return inside === null ? unknown("This text is not taken apart here.") : text(inside, name);
  }
  if (types.whole.has(name)) return whole(BigInt(written), name);
  return types.real.has(name) ? converted(types, Number(written), name) : notTakenApart(type);
}

/** What the signs between two truths give; null where one of them is none, or the sign is none of truths. */
export function betweenTruths(sign: string, left: Known, right: Known): Answer | null {
  if (left.kind !== "truth" || right.kind !== "truth") return null;
  const { type } = left;
  if (sign === "==") return truth(left.value === right.value, type);
  if (sign === "!=" || sign === "^") return truth(left.value !== right.value, type);
  if (sign === "&") return truth(left.value && right.value, type);
  return sign === "|" ? truth(left.value || right.value, type) : null;
}

/** Whether two values are both nothing, where one of them is; null where neither is. */
export function betweenNothing(sign: string, left: Known, right: Known, type: string): Answer | null {
  if ((sign !== "==" && sign !== "!=") || (left.kind !== "nothing" && right.kind !== "nothing")) return null;
  return truth((left.kind === right.kind) === (sign === "=="), type);
}
