import { libraryOf, type Writing } from "../writing.ts";
import { pascalLinesElsewhere } from "./elsewhere.ts";
import { takes } from "./takes.ts";

/** What small edits put into Pascal programs. */
export const pascalWriting: Writing = {
  ...{ and: "and", or: "or", not: "not ", equal: "=", unequal: "<>", assign: ":=" },
  blocks: { by: "two words", open: "begin", close: "end" },
  variables: "declared apart",
  fixed: { byValue: true },
  ...{ handsMore: /\b(?:var|out)\b|=/i, reaches: ["goto", "exit", "halt"] },
  logicBindsFirst: true,
  counterEnds: true,
  handsPlace: { word: "var", kept: /^(?:const|out)$/i },
  ...{ quote: "'", quoteInside: "''", members: ["."], compound: false, chained: "else if" },
  headers: { if: "then", while: "do", for: "do", case: "of", with: "do" },
  firstElement: (list) => `${list}[1]`,
  beginnings: ["maxint"],
  statementEnd: ";",
  forms: { results: ["integer", "real", "string", "boolean"] },
  linesElsewhere: pascalLinesElsewhere,
  elsewhere: [
    ["len(_)", "length(_)"],
    ["_.length", "length(_)"],
    ["_.length()", "length(_)"],
    ["print(", "writeln("],
    ["println(", "writeln("],
    ["printf(", "writeln("],
    ["Console.WriteLine(", "writeln("],
    ["System.out.println(", "writeln("],
    ["input(", "readln("],
    ["scanf(", "readln("],
  ],
  divides: { decimal: "/", whole: "div", rest: "mod" },
  otherOperators: [],
  step: (name, sign) => `${name} := ${name} ${sign} 1;`,
  conversions: [
    { name: "IntToStr", before: "IntToStr(", after: ")" },
    { name: "StrToInt", before: "StrToInt(", after: ")" },
    { name: "round", before: "round(", after: ")" },
    { name: "trunc", before: "trunc(", after: ")" },
    { name: "FloatToStr", before: "FloatToStr(", after: ")" },
  ],
  worksOut: { sizes: ["length(_)"], distances: ["abs(_)"], texts: ["upcase(_)", "lowercase(_)", "trim(_)"] },
  counterparts: [
    ["min", "max"],
    ["floor", "ceil"],
    ["trunc", "round"],
    ["inc", "dec"],
    ["Inc", "Dec"],
    ["succ", "pred"],
    ["low", "high"],
    ["uppercase", "lowercase"],
  ],
  guarded: (condition, body, indent, lineEnd) => `${indent}if ${condition} then${lineEnd}${body}`,
  returns: () => "",
  resultByName: {
    gives: (name, value) => `${name} := ${value};`,
    header: /^\s*function\b/i,
    otherwise: /\bresult\b|\bexit\s*\(/i,
  },
  types: [
    ["integer", "real", "string", "boolean", "longint"],
    ["real", "double"],
    ["string", "char"],
  ],
  inclusions: [
    {
      words: new Set([
        "IntToStr",
        "StrToInt",
        "FloatToStr",
        "StrToFloat",
        "Format",
        "UpperCase",
        "LowerCase",
        "Trim",
        "Exception",
      ]),
      line: "uses SysUtils;",
    },
    { words: new Set(["Power", "Max", "Min", "Ceil", "Floor"]), line: "uses Math;" },
  ],
  takes,
  narrowing: {
    ...{ comment: "//", nothing: ";  ", ends: ";", between: () => "; ", wrap: ["begin", "end"] },
    print: (label, expression) => `writeln('${label}', ${expression})`,
  },
  onlyPrints: (lines) =>
    `program Prints;\nbegin\n${lines.map((line) => `  writeln('${line.replaceAll("'", "''")}');\n`).join("")}end.\n`,
  printers: [
    ["writeln", "write"],
    ["readln", "read"],
  ],
  library: libraryOf(
    {
      ...{ reads: "readln read", readsText: "", prints: "writeln write", leaves: "halt runerror" },
      ...{ gives: "UpperCase LowerCase Trim abs round trunc sqrt sqr length copy", changes: "" },
    },
    false,
  ),
};
