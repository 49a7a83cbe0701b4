import type { CompiledProgram, DeclaredType } from "./code.ts";
import { noFields, Stop, type Value } from "./values.ts";

/** Elements of an array in one dimension, at most. */
const mostElements = 1_000_000;

/**
 * What a declaration makes of a type: an array or a record without values, undefined for all else. `bounds` are those of every
 * array in it, outermost first, two values each.
 */
export function madeOf(
  program: Pick<CompiledProgram, "records">,
  type: DeclaredType,
  bounds: readonly Value[],
  newId: () => number,
  from = 0,
): Value | undefined {
  if (type.is === "array") {
    const dimensions = type.dimensions ?? 1;
    const inner = (dimension: number): Value => {
      const [low, high] = [bounds[(from + dimension) * 2], bounds[(from + dimension) * 2 + 1]];
      if (typeof low !== "number" || typeof high !== "number")
        throw new Stop("wrong kind", "The bounds of an array are whole numbers.");
      const length = high - low + 1;
      if (length < 0 || length > mostElements)
        throw new Stop("no such array", `An array cannot go from ${low} to ${high}.`);
      const id = newId();
      const array = Array.from({ length }, () =>
        dimension < dimensions - 1
          ? inner(dimension + 1)
          : madeOf(program, type.of ?? { is: "any" }, bounds, newId, from + dimensions),
      );
      const of = dimension < dimensions - 1 ? "array" : (type.of?.is ?? "any");
      return { array, from: low, of, id };
    };
    return inner(0);
  }
  if (type.is !== "record") return undefined;
  const record = program.records.get(type.record ?? "");
  const fields = noFields();
  const id = newId();
  for (const { name, type: own } of record?.fields ?? [])
    fields[name.toLowerCase()] = madeOf(program, own, bounds, newId);
  return { record: record?.name ?? "", fields, id };
}
