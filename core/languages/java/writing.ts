import { javaLinesElsewhere } from "../braceLines.ts";
import { takesByName } from "../takes.ts";
import { libraryOf, type Writing } from "../writing.ts";

/** What small edits put into Java programs. */
export const javaWriting: Writing = {
  ...{ and: "&&", or: "||", not: "!", equal: "==", unequal: "!=", assign: "=" },
  blocks: { by: "braces" },
  variables: "declared in place",
  fixed: { words: ["final"] },
  ...{ handsMore: /\.\.\./, reaches: ["exit"] },
  ownObject: { word: "this", isHanded: false },
  ...{ quote: '"', quoteInside: '\\"', letterQuote: "'", members: ["."], compound: true, chained: "else if" },
  copyOf: (list) => `${list}.clone()`,
  firstElement: (list) => `${list}[0]`,
  orDefault: { asks: "get", write: (table, key) => `${table}.getOrDefault(${key}, 0)` },
  errors: {
    usual: [
      ...["NumberFormatException", "ArrayIndexOutOfBoundsException", "ArithmeticException", "NullPointerException"],
      ...["IllegalArgumentException", "IndexOutOfBoundsException", "InputMismatchException"],
    ],
    head: /\bcatch\s*\(\s*(\w+)(?=\s)/g,
  },
  beginnings: ["Integer.MIN_VALUE", "Integer.MAX_VALUE"],
  statementEnd: ";",
  joinsNumbers: true,
  forms: {
    ...{ goesOver: ":", anyType: "var", hides: "private" },
    sizes: [
      { types: /^(?:(?:Array|Linked)?List|(?:Hash|Tree)?(?:Map|Set)|Deque|Queue)\b/, size: "size()" },
      { types: /\[\]/, size: "length" },
      { types: /^String$/, size: "length()" },
    ],
    picksByCall: [
      { types: /^(?:Array)?List\b/, call: "get" },
      { types: /^String$/, call: "charAt" },
    ],
    heldTypes: { int: "Integer", double: "Double", char: "Character", boolean: "Boolean", long: "Long" },
    reader: { name: "Scanner", handed: "System.in" },
    largeNumber: "L",
  },
  linesElsewhere: javaLinesElsewhere,
  elsewhere: [
    ["len(_)", "_.length"],
    ["len(_)", "_.length()"],
    ["len(_)", "_.size()"],
    ["_.Length", "_.length"],
    ["_.Length", "_.length()"],
    ["_.Count", "_.size()"],
    ["_.append(", "_.add("],
    ["_.push(", "_.add("],
    ["_.Add(", "_.add("],
    ["_.upper(", "_.toUpperCase("],
    ["_.lower(", "_.toLowerCase("],
    ["print(", "System.out.println("],
    ["println(", "System.out.println("],
    ["printf(", "System.out.printf("],
    ["Console.WriteLine(", "System.out.println("],
    ["writeln(", "System.out.println("],
    ["console.log(", "System.out.println("],
  ],
  divides: { decimal: null, whole: "/", rest: "%" },
  otherOperators: [],
  step: (name, sign) => `${name}${sign}${sign};`,
  conversions: [
    { name: "double", before: "(double) ", after: "" },
    { name: "int", before: "(int) ", after: "" },
    { name: "parseInt", before: "Integer.parseInt(", after: ")" },
    { name: "parseDouble", before: "Double.parseDouble(", after: ")" },
    { name: "valueOf", before: "String.valueOf(", after: ")" },
  ],
  worksOut: {
    ...{ sizes: ["_.length()", "_.size()"], distances: ["Math.abs(_)"] },
    texts: ["_.toLowerCase()", "_.toUpperCase()", "_.trim()"],
  },
  ends: [{ last: "add", first: "add", place: "0, " }],
  counterparts: [
    ["addFirst", "addLast"],
    ["min", "max"],
    ["naturalOrder", "reverseOrder"],
    ["floor", "ceil"],
    ["toUpperCase", "toLowerCase"],
    ["startsWith", "endsWith"],
    ["indexOf", "lastIndexOf"],
    ["keySet", "values"],
    ["removeFirst", "removeLast"],
    ["getFirst", "getLast"],

    ["pollFirst", "pollLast"],
    ["peekFirst", "peekLast"],
  ],
  sortOrders: [
    { calls: ["sort", "sorted"], handed: "Collections.reverseOrder()" },
    { calls: ["comparing", "comparingInt", "comparingDouble", "naturalOrder"], behind: ".reversed()" },
  ],
  guarded: (condition, body, indent, lineEnd) => `${indent}if (${condition})${lineEnd}${body}`,
  lengthOf: (list) => `${list}.length`,
  nothing: "null",
  holdsSomething: (name) => `${name} != null`,
  holdsNothing: (name) => `${name} == null`,
  returns: (value) => `return ${value};`,
  equalTexts: (one, other) => `${one}.equals(${other})`,
  types: [
    ["int", "double", "long", "String", "boolean"],
    ["double", "float"],
    ["String", "char"],
    ["byte", "int"],
    ["short", "int"],
  ],
  inclusions: [
    {
      words: new Set(
        "Scanner ArrayList List Map HashMap Arrays Random Collections LinkedList Set HashSet Locale InputMismatchException".split(
          " ",
        ),
      ),
      line: "import java.util.*;",
    },
    {
      words: new Set(["File", "IOException", "FileReader", "BufferedReader", "PrintWriter"]),
      line: "import java.io.*;",
    },
  ],
  takes: takesByName({ word: "next nextInt nextDouble nextLong nextBoolean", sign: "read" }),
  narrowing: {
    ...{ comment: "//", nothing: ";  ", ends: ";", between: () => " ", wrap: ["{", "}"] },
    // A list is written with what it holds; the outer brackets are of the list that is made for that.
    print: (label, expression) =>
      `System.out.println("${label}" + java.util.Arrays.deepToString(new Object[] {${expression}}).replaceAll("^.|.$", ""))`,
  },
  onlyPrints: (lines, fileName) =>
    `public class ${fileName.replace(/\.java$/, "")} {\n  public static void main(String[] args) {\n${lines.map((line) => `    System.out.println(${JSON.stringify(line)});\n`).join("")}  }\n}\n`,
  printers: [["println", "print"]],
  fills: ["add", "addLast", "addFirst", "push", "offer", "put"],
  takesOut: [
    { picked: "_.get(0)", taken: "_.remove(0)" },
    { picked: "_.peek()", taken: "_.remove()" },
    { picked: "_.getFirst()", taken: "_.removeFirst()" },
  ],
  library: libraryOf({
    reads: "next nextLine nextInt nextDouble nextLong nextBoolean readLine read",
    ...{ readsText: "next nextLine readLine", prints: "println print printf", leaves: "exit halt" },
    gives: "toUpperCase toLowerCase trim substring concat repeat replace strip split abs round",
    changes: "sort add remove clear reverse",
  }),
};
