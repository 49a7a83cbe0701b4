import type { Language } from "../languages/language.ts";
import { lineAt, lineStarts } from "../syntax/placed.ts";
import { part, type SyntaxNode, walk } from "../syntax/tree.ts";
import type { Step } from "./trace.ts";

/** A method: the class it belongs to, its name, and the lines (from 1) from its header to its end. */
type Method = { className: string; name: string; from: number; to: number };

/** The methods of a text, in its order. One that is written outside of its class names it (`TFerry.Board`). */
function methodsIn(language: Language, text: string): Method[] {
  if (!language.syntax) return [];
  const starts = lineStarts(text);
  const found: Method[] = [];
  walk(language.syntax(text), (node, around) => {
    if (node.kind !== "function") return;
    const definition = part(node, "definition");
    if (!definition) return;
    const written = text.slice(definition.from, definition.to);
    const outside = written.includes(".") ? written.slice(0, written.lastIndexOf(".")) : "";
    const className = outside === "" ? classAround(around) : outside;
    if (className === "") return;
    found.push({
      ...{ className, name: definition.sign ?? written },
      ...{ from: lineAt(starts, node.from), to: lineAt(starts, node.to) },
    });
  });
  return found;
}

/** The class in which a function stands, with no other function between; "" where there is none. */
function classAround(around: readonly SyntaxNode[]): string {
  for (const each of [...around].reverse()) {
    if (each.kind === "function") return "";
    if (each.kind === "class") return part(each, "definition")?.sign ?? "";
  }
  return "";
}

/**
 * Steps that enter a method get the name of its class, by the texts of the program's files (in the order of the recording's). A step
 * of a file that is not read, or whose function is none of a class, stays as it is.
 */
export function withClassNames(language: Language, texts: readonly string[], steps: readonly Step[]): readonly Step[] {
  if (!steps.some((step) => step.call !== undefined)) return steps;
  const methods = texts.map((text) => methodsIn(language, text));
  const fold = (name: string) => (language.values?.reads.anyCase ? name.toLowerCase() : name);
  const known = new Map<string, string | undefined>();
  const classOf = ({ file, line, call = "" }: Step): string | undefined => {
    const key = `${file} ${line} ${call}`;
    if (known.has(key)) return known.get(key);
    const inside = (methods[file] ?? []).filter(
      (each) => each.from <= line && line <= each.to && fold(each.name) === fold(call),
    );
    // Of methods that lie in each other the inner one.
    const className = inside.at(-1)?.className;
    known.set(key, className);
    return className;
  };
  return steps.map((step) => {
    const className = step.call === undefined ? undefined : classOf(step);
    return className === undefined ? step : { ...step, className };
  });
}
