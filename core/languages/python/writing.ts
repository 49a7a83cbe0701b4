import type { Writing } from "../writing.ts";

const ofModule = (module: string, ...words: string[]) => ({
  words: new Set([module, ...words]),
  line: `import ${module}`,
});

/** What small edits put into Python programs. */
export const pythonWriting: Writing = {
  ...{ and: "and", or: "or", not: "not ", equal: "==", unequal: "!=", assign: "=" },
  blocks: { by: "indentation" },
  statementEnd: "",
  divides: { decimal: "/", whole: "//", rest: "%" },
  otherOperators: [["*", "**"]],
  step: (name, sign) => `${name} ${sign}= 1`,
  conversions: [
    { name: "int", before: "int(", after: ")" },
    { name: "float", before: "float(", after: ")" },
    { name: "str", before: "str(", after: ")" },
    { name: "len", before: "len(", after: ")" },
    { name: "round", before: "round(", after: ")" },
    { name: "list", before: "list(", after: ")" },
    { name: "sorted", before: "sorted(", after: ")" },
    { name: "abs", before: "abs(", after: ")" },
  ],
  returns: (value) => `return ${value}`,
  types: [],
  inclusions: ["math", "random", "time", "sys", "os", "json", "csv", "datetime", "string", "re"].map((module) =>
    ofModule(module),
  ),
  printers: [],
};
