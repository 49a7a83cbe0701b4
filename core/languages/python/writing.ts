import { takesByName } from "../takes.ts";
import { libraryOf, type Writing } from "../writing.ts";

const ofModule = (module: string, ...words: string[]) => ({
  words: new Set([module, ...words]),
  line: `import ${module}`,
});

/** What small edits put into Python programs. */
export const pythonWriting: Writing = {
  ...{ and: "and", or: "or", not: "not ", equal: "==", unequal: "!=", assign: "=" },
  blocks: { by: "indentation" },
  variables: "by assignment",
  ...{ handsMore: /[*=]/, reaches: ["global", "nonlocal", "exit"] },
  ...{ quote: '"', quoteInside: '\\"', members: ["."], compound: true, chained: "elif", countingCall: "range" },
  firstElement: (list) => `${list}[0]`,
  copyOf: (list) => `${list}[:]`,
  sharedDefault: /([A-Za-z_]\w*)\s*(?::[^=,()]+)?=\s*(?:\[\s*\]|\{\s*\}|list\(\)|dict\(\)|set\(\))/g,
  ownObject: { word: "self", isHanded: true, without: /@(?:static|class)method\s*$/ },
  countsFromEnd: true,
  filledIn: "f",
  slices: true,
  madeAnew: {
    write: (element, times) => `[${element} for _ in range(${times})]`,
    read: /^\[(\[.*\](?: \* \w+)?) for _ in range\((\w+)\)\]$/s,
  },
  listOf: (walked) => `list(${walked})`,
  beginnings: ['""', "[]", "0.0", 'float("inf")', 'float("-inf")'],
  holdsNoKey: (table, key) => `${key} not in ${table}`,
  orDefault: { write: (table, key) => `${table}.get(${key}, 0)` },
  errors: {
    usual: ["ValueError", "IndexError", "KeyError", "ZeroDivisionError", "TypeError", "FileNotFoundError", "EOFError"],
    head: /\bexcept\s+(\w+)(?=[\s:])/g,
  },
  firstValues: { list: ["[]", "set()"], table: ["{}", "[]"], text: ['""'], truth: ["False", "True"] },
  wholeProgram: { word: "global", apart: ", " },
  givesNothing: true,
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
  worksOut: {
    ...{ sizes: ["len(_)"], distances: ["abs(_)"] },
    texts: ["_.lower()", "_.upper()", "_.strip()"],
  },
  ends: [{ last: "append", first: "insert", place: "0, " }],
  counterparts: [
    ["min", "max"],
    ["floor", "ceil"],
    ["upper", "lower"],
    ["any", "all"],
    ["startswith", "endswith"],
    ["find", "rfind"],
    ["keys", "values"],
    ["pop()", "pop(0)"],
  ],
  sortOrders: [{ calls: ["sort", "sorted"], handed: "reverse=True" }],
  guarded: (condition, body, indent, lineEnd) => `${indent}if ${condition}:${lineEnd}${body}`,
  lengthOf: (list) => `len(${list})`,
  nothing: "None",
  holdsSomething: (name) => `${name} is not None`,
  holdsNothing: (name) => `${name} is None`,
  returns: (value) => `return ${value}`,
  types: [],
  inclusions: ["math", "random", "time", "sys", "os", "json", "csv", "datetime", "string", "re"].map((module) =>
    ofModule(module),
  ),
  takes: takesByName({ all: "read readlines" }),
  narrowing: {
    ...{ comment: "#", nothing: "pass  ", ends: "", between: () => "; ", wrap: null },
    print: (label, expression) => `print("${label.trim()}", repr(${expression}))`,
  },
  onlyPrints: (lines) => lines.map((line) => `print(${JSON.stringify(line)})\n`).join(""),
  printers: [],
  fills: ["append", "insert", "extend", "add", "update"],
  takesOut: [
    { picked: "_[0]", taken: "_.pop(0)" },
    { picked: "_[-1]", taken: "_.pop()" },
  ],
  library: libraryOf({
    ...{ reads: "input readline read readlines", readsText: "input", prints: "print", leaves: "exit quit abort _exit" },
    gives:
      "upper lower strip lstrip rstrip replace title capitalize split join format sorted reversed round abs zfill center",
    changes: "sort append reverse extend insert remove clear",
  }),
};
