import type { Language } from "../languages/language.ts";
import type { Positions } from "./elementColumns.ts";

/** How a language names the elements of a variable of a program; where arrays are declared with their bounds, by the declaration. */
export function positionsOf(language: Language, text: string): Positions {
  const { firstIndex } = language.profile;
  const [open, close] = language.values?.callsPick ? ["(", ")"] : ["[", "]"];
  return {
    ...{ open, close },
    firstOf: (name, isText) => {
      if (firstIndex !== "declared") return firstIndex;
      return isText ? 1 : declaredFirst(text, name);
    },
  };
}

/** The first position of `name: array[1..3] of`; 0 where it has no bounds of its own. */
function declaredFirst(text: string, name: string): number {
  const declared = new RegExp(String.raw`\b${name}\b[^;:()]*:\s*(?:packed\s+)?array\s*\[\s*(-?\d+)\s*\.\.`, "i").exec(
    text,
  );
  return Number(declared?.[1] ?? 0);
}
