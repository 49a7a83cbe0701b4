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
      return isText ? 1 : (language.firstPosition?.(text, name) ?? 0);
    },
  };
}
