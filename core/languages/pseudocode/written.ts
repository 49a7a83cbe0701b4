import { parseProgram } from "../../interpreters/pseudocode/parser.ts";
import { printProgram } from "../../interpreters/pseudocode/print.ts";
import { pseudocodeStyles } from "../../interpreters/pseudocode/style.ts";
import { toPython } from "../../interpreters/pseudocode/toPython.ts";

/** The forms in which a program can be written: every style, and Python. */
export const writtenForms: ReadonlyArray<{ id: string; name: string }> = [
  ...pseudocodeStyles.map(({ id, name }) => ({ id, name })),
  { id: "python", name: "Python" },
];

/** A program in another form, or why it cannot be written in it. Comments are not kept; it does the same. */
export function writtenAs(program: string, form: string): { text: string } | { problem: string } {
  const { tree, problems } = parseProgram(program);
  const [first] = problems;
  if (first) return { problem: `Line ${first.line}: ${first.says}` };
  if (form === "python") {
    const said = toPython(tree);
    return "python" in said ? { text: said.python } : { problem: said.untold };
  }
  const style = pseudocodeStyles.find(({ id }) => id === form) ?? pseudocodeStyles[0];
  return style ? { text: printProgram(tree, style) } : { problem: "There is no such form." };
}
