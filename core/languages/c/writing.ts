import { lettersLinesElsewhere } from "../braceLines.ts";
import { libraryOf, type Writing } from "../writing.ts";
import { takes } from "./takes.ts";

/** What small edits put into C programs. */
export const cWriting: Writing = {
  ...{ and: "&&", or: "||", not: "!", equal: "==", unequal: "!=", assign: "=" },
  blocks: { by: "braces" },
  variables: "declared in place",
  fixed: { words: ["const"] },
  ...{ handsMore: /[*&]|\.\.\./, reaches: ["goto", "exit"], givesNothing: true },
  recordHead: /^(?:typedef\s+)?(?:struct|union|enum)\b/,
  ...{ quote: '"', quoteInside: '\\"', letterQuote: "'", members: [".", "->"], compound: true, chained: "else if" },
  firstElement: (list) => `${list}[0]`,
  beginnings: [],
  statementEnd: ";",
  forms: { recordWord: "struct", instruction: { sign: "#", words: ["include", "define"] }, textsAsRows: true },
  linesElsewhere: lettersLinesElsewhere,
  elsewhere: [
    ["_.length", "(int)(sizeof _ / sizeof _[0])"],
    ["len(_)", "(int)(sizeof _ / sizeof _[0])"],
    ["_.length", "strlen(_)"],
    ["_.length()", "strlen(_)"],
    ["len(_)", "strlen(_)"],
    ["length(_)", "strlen(_)"],
    ["print(", "printf("],
    ["println(", "printf("],
    ["writeln(", "printf("],
    ["System.out.println(", "printf("],
    ["Console.WriteLine(", "printf("],
  ],
  divides: { decimal: null, whole: "/", rest: "%" },
  otherOperators: [],
  step: (name, sign) => `${name}${sign}${sign};`,
  conversions: [
    { name: "double", before: "(double)", after: "" },
    { name: "int", before: "(int)", after: "" },
    { name: "atoi", before: "atoi(", after: ")" },
    { name: "strlen", before: "strlen(", after: ")" },
  ],
  worksOut: { sizes: ["strlen(_)"], distances: ["abs(_)", "fabs(_)"], texts: ["toupper(_)", "tolower(_)"] },
  counterparts: [
    ["fmin", "fmax"],
    ["floor", "ceil"],
    ["toupper", "tolower"],
    ["isupper", "islower"],
    ["strchr", "strrchr"],
  ],
  guarded: (condition, body, indent, lineEnd) => `${indent}if (${condition})${lineEnd}${body}`,
  nothing: "NULL",
  holdsSomething: (name) => `${name} != NULL`,
  holdsNothing: (name) => `${name} == NULL`,
  returns: (value) => `return ${value};`,
  equalTexts: (one, other) => `strcmp(${one}, ${other}) == 0`,
  types: [
    ["int", "double", "long", "char", "unsigned"],
    ["double", "float"],
  ],
  inclusions: [
    {
      words: new Set("printf scanf fopen fgets fscanf puts getchar putchar fprintf fclose FILE EOF sscanf".split(" ")),
      line: "#include <stdio.h>",
    },
    {
      words: new Set("strlen strcmp strcpy strcat strchr strstr memset strncpy".split(" ")),
      line: "#include <string.h>",
    },
    {
      words: new Set("malloc free atoi abs rand srand exit atof calloc realloc qsort".split(" ")),
      line: "#include <stdlib.h>",
    },
    { words: new Set("sqrt pow fabs ceil floor sin cos round".split(" ")), line: "#include <math.h>" },
    { words: new Set("bool true false".split(" ")), line: "#include <stdbool.h>" },
    { words: new Set("toupper tolower isdigit isalpha isspace isupper".split(" ")), line: "#include <ctype.h>" },
  ],
  takes,
  narrowing: {
    ...{ comment: "//", nothing: ";  ", ends: ";", between: () => " ", wrap: ["{", "}"] },
    // The letter for a value goes by its type.
    print: (label, expression) => {
      const letters =
        "_Bool:d char:c short:d int:d unsigned:u long:ld unsigned_long:lu long_long:lld float:g double:g char_*:s const_char_*:s default:p";
      const choice = letters.split(" ").map((each) => each.replaceAll("_", " ").replace(" Bool", "_Bool").split(":"));
      const forms = choice.map(([type, letter]) => `${type}: "${label}%${letter}\\n"`).join(", ");
      return `printf(_Generic((${expression}), ${forms}), (${expression}))`;
    },
  },
  onlyPrints: (lines) =>
    `#include <stdio.h>\nint main(void) {\n${lines.map((line) => `  puts(${JSON.stringify(line)});\n`).join("")}  return 0;\n}\n`,
  printers: [],
  library: libraryOf({
    ...{ reads: "scanf fscanf gets fgets getchar getc fgetc", readsText: "gets fgets" },
    ...{ prints: "printf puts putchar fprintf fputs", leaves: "exit abort _exit quick_exit" },
    ...{ gives: "abs fabs round floor ceil sqrt pow toupper tolower", changes: "" },
  }),
};
