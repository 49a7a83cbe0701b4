import { javaWriting } from "../java/writing.ts";
import { libraryOf, type Writing } from "../writing.ts";

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
    { read: /^function\s+(\w+\s*\(.*\))\s*\{$/, write: "void $1 {" },
    { read: /^(?!if\b|for\b|while\b|switch\b|catch\b)([a-z]\w*)\s*(\([^()]*\))\s*\{$/, write: "void $1$2 {" },
    {
      read: /^(?!if\b|for\b|while\b|switch\b|catch\b)([a-z]\w*)\s*(\([^()]*\))\s*\{$/,
      write: "boolean $1$2 {",
      odds: 2,
    },
    { read: /^(\w+)\s*=\s*(-?\d+);$/, write: "int $1 = $2;", odds: 2 },
    { read: /^(\w+)\s*=\s*(-?\d+\.\d+);$/, write: "float $1 = $2;", odds: 2 },
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
