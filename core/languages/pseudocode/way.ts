import { pseudocodeStyles } from "../../interpreters/pseudocode/style.ts";
import type { LanguageWays } from "../language.ts";

/** How a way reads programs: a style takes `=` for both or for comparing alone, and names are looked for before or when they are reached. */
export type ReadWay = { equalsAssigns: boolean; namesBefore: boolean };

/** A way as it is written down: a style's id, and "names" where names are looked for before anything runs. */
export function readWay(way: string): ReadWay & { style: string } {
  const [id = "", ...more] = way.split(" ");
  const style = pseudocodeStyles.find((each) => each.id === id) ?? pseudocodeStyles[0];
  return {
    style: style?.id ?? "",
    equalsAssigns: style?.equalsAssigns ?? true,
    namesBefore: more.includes("names"),
  };
}

/** The ways in which a course can have pseudocode. */
export const pseudocodeWays: LanguageWays = {
  styles: pseudocodeStyles.map(({ id, name, equalsAssigns }) => ({
    id,
    name: equalsAssigns ? name : `${name}; = compares and gives no value`,
  })),
  checks: [{ id: "names", says: "a name that is given no value anywhere is refused before anything runs" }],
  changes: (way) => (readWay(way).namesBefore ? { namesCheckedAt: "translation" } : {}),
  rules: (way) => {
    const { equalsAssigns, namesBefore } = readWay(way);
    return [...(equalsAssigns ? [] : ["= compares alone"]), ...(namesBefore ? ["names first"] : [])].join(", ");
  },
};
