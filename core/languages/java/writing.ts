import type { Writing } from "../writing.ts";

/** What small edits put into Java programs. */
export const javaWriting: Writing = {
  ...{ and: "&&", or: "||", not: "!", equal: "==", unequal: "!=", assign: "=" },
  blocks: { by: "braces" },
  statementEnd: ";",
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
  returns: (value) => `return ${value};`,
  equalTexts: (one, other) => `${one}.equals(${other})`,
  types: [
    ["int", "double", "long", "String", "boolean"],
    ["double", "float"],
    ["String", "char"],
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
  printers: [["println", "print"]],
};
