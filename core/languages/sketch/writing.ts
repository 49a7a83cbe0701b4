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
