import { isConstructor } from "./table.ts";
import type { TableColumn } from "./tableColumn.ts";

/** What stands over a column: above the title the function (blank for the program), with its class where that is needed. */
export type Heading = { above: string; title: string };

/** Where only the function that the program starts with has variables, it is not named; nor what stands outside of all. */
const starts = /^(?:main|start)$/i;

/** The headings of a table's columns, in their order, in plain words: `new Ferry` for what makes an object, "own object" for `this`. */
export function headingsOf(columns: readonly Heads[]): Heading[] {
  const inProgram = new Set(columns.filter((each) => each.functionName === undefined).map((each) => each.title));
  const classes = new Map<string, Set<string>>();
  for (const { functionName, className = "" } of columns)
    if (functionName !== undefined) classes.set(functionName, (classes.get(functionName) ?? new Set()).add(className));
  const [only = ""] = classes.keys();
  const isAlone = classes.size === 1 && starts.test(only);
  return columns.map(({ functionName, className, title, of }) => {
    const plain = title === "this" && functionName !== undefined ? "own object" : title;
    const shown = of !== undefined && title.startsWith("this.") ? `own ${title.slice("this.".length)}` : plain;
    if (functionName === undefined || (isAlone && !inProgram.has(title))) return { above: "", title: shown };
    if (isConstructor(functionName, className) && className !== undefined)
      return { above: `new ${className}`, title: shown };
    return {
      above: (classes.get(functionName)?.size ?? 0) > 1 && className ? `${className}.${functionName}` : functionName,
      title: shown,
    };
  });
}

/** What a heading is made of. */
type Heads = Pick<TableColumn, "title" | "functionName" | "className" | "of">;

/** A heading in one line: `load: total`. */
export const headingText = ({ above, title }: Heading): string => (above === "" ? title : `${above}: ${title}`);
