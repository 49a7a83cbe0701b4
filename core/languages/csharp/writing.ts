import { csharpLinesElsewhere } from "../braceLines.ts";
import { takesByName } from "../takes.ts";
import { libraryOf, type Writing } from "../writing.ts";

/** What small edits put into C# programs. */
export const csharpWriting: Writing = {
  ...{ and: "&&", or: "||", not: "!", equal: "==", unequal: "!=", assign: "=" },
  blocks: { by: "braces" },
  variables: "declared in place",
  fixed: { words: ["const", "readonly"] },
  ...{ handsMore: /\b(?:ref|out|in|params)\b|=/, reaches: ["goto", "Exit"] },
  ownObject: { word: "this", isHanded: false },
  ...{ quote: '"', quoteInside: '\\"', letterQuote: "'", members: ["."], compound: true, chained: "else if" },
  numberedValues: true,
  firstElement: (list) => `${list}[0]`,
  holdsNoKey: (table, key) => `!${table}.ContainsKey(${key})`,
  errors: {
    usual: [
      ...["FormatException", "IndexOutOfRangeException", "DivideByZeroException", "NullReferenceException"],
      ...["KeyNotFoundException", "ArgumentException", "InvalidOperationException", "OverflowException"],
    ],
    head: /\bcatch\s*\(\s*(\w+)(?=[\s)])/g,
  },
  beginnings: ["int.MinValue", "int.MaxValue"],
  filledIn: "$",
  statementEnd: ";",
  joinsNumbers: true,
  lengthsBy: { names: ["GetLength", "GetUpperBound"], rows: 0 },
  forms: {
    goesOver: "in",
    anyType: "var",
    hides: "private",
    sizes: [
      { types: /^(?:List|Dictionary|Queue|Stack|HashSet)\b/, size: "Count" },
      { types: /\[\]|^string$/, size: "Length" },
    ],
  },
  linesElsewhere: csharpLinesElsewhere,
  elsewhere: [
    ["_.equals(", "_.Equals("],
    ["Integer.parseInt(", "int.Parse("],
    ["Double.parseDouble(", "double.Parse("],
    ["len(_)", "_.Length"],
    ["len(_)", "_.Count"],
    ["_.length()", "_.Length"],
    ["_.size()", "_.Count"],
    ["_.append(", "_.Add("],
    ["_.push(", "_.Add("],
    ["_.upper(", "_.ToUpper("],
    ["_.toUpperCase(", "_.ToUpper("],
    ["_.lower(", "_.ToLower("],
    ["_.toLowerCase(", "_.ToLower("],
    ["print(", "Console.WriteLine("],
    ["println(", "Console.WriteLine("],
    ["printf(", "Console.WriteLine("],
    ["System.out.println(", "Console.WriteLine("],
    ["writeln(", "Console.WriteLine("],
    ["console.log(", "Console.WriteLine("],
  ],
  divides: { decimal: null, whole: "/", rest: "%" },
  otherOperators: [],
  step: (name, sign) => `${name}${sign}${sign};`,
  conversions: [
    { name: "double", before: "(double)", after: "" },
    { name: "int", before: "(int)", after: "" },
    { name: "int.Parse", before: "int.Parse(", after: ")" },
    { name: "double.Parse", before: "double.Parse(", after: ")" },
    { name: "ToString", before: "", after: ".ToString()" },
  ],
  worksOut: {
    ...{ sizes: ["_.Length", "_.Count"], distances: ["Math.Abs(_)"] },
    texts: ["_.ToLower()", "_.ToUpper()", "_.Trim()"],
  },
  ends: [{ last: "Add", first: "Insert", place: "0, " }],
  counterparts: [
    ["AddFirst", "AddLast"],
    ["Min", "Max"],
    ["OrderBy", "OrderByDescending"],
    ["Floor", "Ceiling"],
    ["ToUpper", "ToLower"],
    ["StartsWith", "EndsWith"],
    ["IndexOf", "LastIndexOf"],
    ["Keys", "Values"],
    ["First", "Last"],

    ["RemoveFirst", "RemoveLast"],
    ["TrimStart", "TrimEnd"],
  ],
  guarded: (condition, body, indent, lineEnd) => `${indent}if (${condition})${lineEnd}${body}`,
  lengthOf: (list) => `${list}.Length`,
  nothing: "null",
  holdsSomething: (name) => `${name} != null`,
  holdsNothing: (name) => `${name} == null`,
  returns: (value) => `return ${value};`,
  types: [
    ["int", "double", "long", "string", "bool"],
    ["double", "float", "decimal"],
    ["string", "char"],
  ],
  inclusions: [
    {
      words: new Set(["Console", "Math", "Random", "DateTime", "Convert", "Exception", "String", "Environment"]),
      line: "using System;",
    },
    { words: new Set(["List", "Dictionary", "Queue", "Stack", "HashSet"]), line: "using System.Collections.Generic;" },
    {
      words: new Set(["Sum", "Average", "Select", "Where", "ToList", "OrderBy", "Max", "Min"]),
      line: "using System.Linq;",
    },
    { words: new Set(["File", "StreamReader", "StreamWriter"]), line: "using System.IO;" },
  ],
  takes: takesByName({ sign: "Read ReadKey" }),
  narrowing: {
    ...{ comment: "//", nothing: ";  ", ends: ";", between: () => " ", wrap: ["{", "}"] },
    // A list is written with what it holds.
    print: (label, expression) => {
      const [value, all] = [`(object)(${expression})`, "System.Collections.IEnumerable"];
      const items = `System.Linq.Enumerable.ToArray(System.Linq.Enumerable.Cast<object>((${all})${value}))`;
      return `System.Console.WriteLine("${label}" + (${value} is ${all} && !(${value} is string) ? "[" + string.Join(", ", ${items}) + "]" : "" + (${expression})))`;
    },
  },
  onlyPrints: (lines) =>
    `class Prints {\n  static void Main() {\n${lines.map((line) => `    System.Console.WriteLine(${JSON.stringify(line)});\n`).join("")}  }\n}\n`,
  printers: [["WriteLine", "Write"]],
  fills: ["Add", "AddLast", "Insert", "Push", "Enqueue"],
  takesOut: [
    { picked: "_[0]", step: "_.RemoveAt(0)" },
    { picked: "_.Peek()", taken: "_.Dequeue()" },
  ],
  library: libraryOf({
    ...{ reads: "ReadLine Read ReadKey", readsText: "ReadLine", prints: "WriteLine Write", leaves: "Exit FailFast" },
    gives: "ToUpper ToLower Trim Replace Substring PadLeft PadRight Split Round Abs",
    changes: "Sort Add Reverse Remove Clear Insert",
  }),
};
