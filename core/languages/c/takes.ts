import { type Takes, type TakesOf, takesByName } from "../takes.ts";

const byName = takesByName({ sign: "getchar getc fgetc" });

/** What the functions of the library that read take of the input: formatted ones go by their format. */
export const takes: TakesOf = (call) =>
  /scanf$/.test(call.name) ? formatTakes(call.program.slice(call.node.from, call.node.to)) : byName(call);

/** By the letters of a format: `%c` takes one sign, unless a blank before it skips blanks first; the others the next word. */
function formatTakes(text: string): Takes[] {
  const format = /"((?:[^"\\]|\\.)*)"/.exec(text)?.[1] ?? "";
  return [...format.matchAll(/(\s?)%(?!%)(\*?)\d*(?:l{0,2}|h{0,2})(\[\^?\]?[^\]]*\]|[a-zA-Z])/g)].map(
    ([, blank, , letter]) => (letter === "c" && blank === "" ? "sign" : letter?.startsWith("[") ? "rest" : "word"),
  );
}
