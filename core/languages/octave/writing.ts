import { takesByName } from "../takes.ts";
import { libraryOf, type Writing } from "../writing.ts";

/** What small edits put into Octave programs. */
export const octaveWriting: Writing = {
  ...{ and: "&&", or: "||", not: "!", equal: "==", unequal: "!=", assign: "=" },
  blocks: { by: "end word", close: "end" },
  variables: "by assignment",
  ...{ handsMore: /=|\bvarargin\b/, reaches: ["global", "exit"] },
  lengthsBy: { names: ["size"], rows: 1 },
  along: [
    { names: ["sum", "mean", "prod", "cumsum", "any", "all", "sort"], rows: ", 2" },
    { names: ["max", "min"], rows: ", [], 2" },
  ],
  ...{ quote: '"', quoteInside: '\\"', members: ["."], compound: false, chained: "elseif" },
  ...{ lastPlace: "end", standing: [", ", "; "], allOf: "(:)" },
  firstElement: (list) => `${list}(1)`,
  beginnings: ["-Inf", "Inf", "[]"],
  firstValues: { text: ['""'], truth: ["false", "true"] },
  wholeProgram: { word: "global", apart: " " },
  statementEnd: ";",
  divides: { decimal: "/", whole: null, rest: "mod" },
  otherOperators: [
    ["*", ".*"],
    ["/", "./"],
    ["^", ".^"],
    ["*", "^"],
    ["/", "\\"],
  ],
  step: (name, sign) => `${name} = ${name} ${sign} 1;`,
  conversions: [
    { name: "str2num", before: "str2num(", after: ")" },
    { name: "str2double", before: "str2double(", after: ")" },
    { name: "num2str", before: "num2str(", after: ")" },
    { name: "length", before: "length(", after: ")" },
    { name: "floor", before: "floor(", after: ")" },
    { name: "round", before: "round(", after: ")" },
    { name: "transposed", before: "", after: "'" },
  ],
  worksOut: {
    ...{ sizes: ["numel(_)", "length(_)"], distances: ["abs(_)"] },
    texts: ["lower(_)", "upper(_)", "strtrim(_)"],
  },
  counterparts: [
    ["min", "max"],
    ["floor", "ceil"],
    ["rows", "columns"],
    ["upper", "lower"],
    ["any", "all"],
    ["zeros", "ones"],
  ],
  sortOrders: [{ calls: ["sort"], handed: '"descend"', turned: '"ascend"' }],
  guarded: (condition, body, indent, lineEnd) => `${indent}if ${condition}${lineEnd}${body}${indent}end${lineEnd}`,
  lengthOf: (list) => `numel(${list})`,
  returns: () => "",
  equalTexts: (one, other) => `strcmp(${one}, ${other})`,
  types: [],
  inclusions: [],
  takes: takesByName({ word: "fscanf" }),
  narrowing: {
    ...{ comment: "%", nothing: "", ends: ";", wrap: null },
    // Without a sign behind it a statement shows its value, which is to stay so.
    between: (before) => (before.trimEnd().endsWith(";") ? " " : ", "),
    print: (label, expression) => `printf("%s%s\\n", "${label}", strtrim(strrep(disp(${expression}), "\\n", " ")))`,
  },
  onlyPrints: (lines) => lines.map((line) => `disp(${JSON.stringify(line)})\n`).join(""),
  printers: [],
  library: libraryOf({
    ...{
      reads: "input fgetl fgets fscanf keyboard",
      readsText: "fgetl fgets",
      prints: "printf fprintf disp display puts fputs",
    },
    leaves: "exit quit",
    gives: "upper lower toupper tolower strtrim sort floor ceil round abs fliplr flipud strrep num2str",
    changes: "",
  }),
};
