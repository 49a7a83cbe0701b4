import { javaWriting } from "../java/writing.ts";
import { lineRows } from "../lineRows.ts";
import { libraryOf, type Writing } from "../writing.ts";

const row = lineRows();
/** What heads a block and is no function. */
const heads = "(?!if\\b|for\\b|while\\b|switch\\b|catch\\b)";

/** What small edits put into sketches: as in Java, with floats and the functions of sketches. */
export const sketchWriting: Writing = {
  ...javaWriting,
  conversions: [
    { name: "float", before: "float(", after: ")" },
    { name: "int", before: "int(", after: ")" },
    { name: "str", before: "str(", after: ")" },
  ],
  types: [
    ["int", "float", "String", "boolean", "color"],
    ["String", "char"],
  ],
  inclusions: [],
  linesElsewhere: [
    ...(javaWriting.linesElsewhere ?? []),
    row("^function\\s+(\\w+\\s*\\(.*\\))\\s*\\{$", "void $1 {"),
    row(`^${heads}([a-z]\\w*)\\s*(\\([^()]*\\))\\s*\\{$`, "void $1$2 {"),
    row(`^${heads}([a-z]\\w*)\\s*(\\([^()]*\\))\\s*\\{$`, "boolean $1$2 {", 2),
    row("^(\\w+)\\s*=\\s*(-?\\d+);$", "int $1 = $2;", 2),
    row("^(\\w+)\\s*=\\s*(-?\\d+\\.\\d+);$", "float $1 = $2;", 2),
  ],
  elsewhere: [
    ...["len(_)", "_.size()", "_.length()", "_.Length", "_.count"].map((other) => [other, "_.length"] as const),
    ...["console.log(", "System.out.println(", "Console.WriteLine(", "printf(", "writeln(", "echo("].map(
      (other) => [other, "println("] as const,
    ),
    ...["_.append(", "_.push("].map((other) => [other, "_.add("] as const),
  ],
  narrowing: {
    ...javaWriting.narrowing,
    print: (label, expression) => `println("${label}" + (${expression}))`,
  },
  onlyPrints: (lines) => `void setup() {\n${lines.map((line) => `  println(${JSON.stringify(line)});\n`).join("")}}\n`,
  otherOperators: [],
  fills: ["add", "append"],
  library: libraryOf({
    ...{ reads: "", readsText: "", prints: "println print printArray", leaves: "exit" },
    gives: `toUpperCase toLowerCase trim substring concat replace split join nf str int float abs round floor ceil map constrain lerp dist`,
    changes: "add remove clear append",
  }),
};
