import { type Language, messageReading } from "../language.ts";
import { createTokenizer, tokensByLine } from "../lexical.ts";
import { conditionOf } from "../statements.ts";
import type { Token } from "../token.ts";

/** Words that descriptions of steps share; every course has its own. */
const keywords: ReadonlySet<string> = new Set(
  (
    "and array begin call case constant declare div do each else elseif end endcase endfor endfunction endif endprocedure endwhile false for from function if input mod next not of or otherwise output " +
    "print procedure read repeat return returns set step start stop then to true until while write"
  ).split(" "),
);

const tokens = createTokenizer({
  keywords,
  anyCase: true,
  name: /[\p{L}_][\p{L}\p{Nd}_]*/uy,
  number: /\d+(?:\.\d+)?/y,
  operator: /<-|:=|<>|<=|>=|!=|==|[-+*/^=<>≤≥≠←→,.:;&]/y,
  lineComment: /\/\/|#/y,
  blockComments: [],
  texts: [
    { open: /"/y, close: '"', escape: "double" },
    { open: /“/y, close: "”", escape: null },
  ],
});
const is = (token: Token | undefined, ...words: string[]) =>
  token !== undefined && words.includes(token.text.toLowerCase());

function assignedNames(line: readonly Token[]): string[] {
  const names: string[] = [];
  for (const [index, token] of line.entries()) {
    if (
      ["<-", "←", ":=", "="].includes(token.text) &&
      line[index - 1]?.kind === "name" &&
      !line.slice(0, index).some((each) => is(each, "if", "while", "until"))
    )
      names.push(line[index - 1]?.text ?? "");
    if (is(token, "input", "read", "for", "set", "declare") && line[index + 1]?.kind === "name")
      names.push(line[index + 1]?.text ?? "");
    if (token.text === "→" && line[index + 1]?.kind === "name") names.push(line[index + 1]?.text ?? "");
  }
  return [...new Set(names)];
}

/**
 * Steps in words or symbols, also flow descriptions: for trace tasks on paper. No translator reads them, so no run is
 * offered.
 */
export const steps: Language = {
  id: "steps",
  name: "Steps in words",
  extension: ".steps",
  mainName: "program.steps",
  lineComment: "//",
  namesCheckedAt: "run",
  runs: false,
  profile: {
    stages: ["a person goes through it, step by step"],
    blocks: "words such as IF … ENDIF, or indentation",
    statementEnd: "the end of the line",
    caseSensitive: false,
    firstIndex: "declared",
    unsetValue: "none; the course says",
    integerDivision: "the course says; DIV usually cuts off the fraction",
    input: "the course says",
    strictness: "none: no tool checks it",
    usualDistance: "no tool names a line",
  },
  tokens,
  ...messageReading([], "first", () => false),
  kindOfRefusal: () => "form",
  unknownName: () => null,
  explanations: [],
  assignedNames,
  usedNames: (line) => [...new Set(line.filter((token) => token.kind === "name").map((token) => token.text))],
  loopCondition: (line) => {
    const at = line.findIndex((token) => is(token, "while", "until"));
    return at < 0 ? null : conditionOf(line.slice(at + 1), new Set(), is(line[at], "until"));
  },
  blockLines: (program, header) => {
    const lines = tokensByLine(tokens(program));
    const numbers = [...lines.keys()].filter((line) => line > header).sort((one, other) => one - other);
    const end = numbers.findIndex((line) => is(lines.get(line)?.[0], "endwhile", "endfor", "next", "until", "end"));
    return numbers.slice(0, end < 0 ? undefined : end + 1);
  },
  decisionWords: new Set(
    [...keywords]
      .filter((word) => ["if", "while", "until", "for", "case"].includes(word))
      .flatMap((word) => [word, word.toUpperCase()]),
  ),
  loopWords: new Set(["while", "WHILE", "for", "FOR", "repeat", "REPEAT"]),
  definesFunction: (line) => is(line[0], "function", "procedure"),
  chanceWords: new Set(),
  unseenWords: new Set(),
  quietFunctions: new Set(),
  numberRanges: {},
  loopExits: [],
  ownWords: new Set([...keywords, ...[...keywords].map((word) => word.toUpperCase())]),
  signs: [
    { pattern: /^\s*(?:ENDIF|ENDWHILE|ENDFOR|END IF|END WHILE)\b/m, weight: 4, words: "ENDIF, ENDWHILE" },
    { pattern: /^\s*(?:OUTPUT|INPUT|DISPLAY|SET)\s+\S/m, weight: 3, words: "INPUT, OUTPUT, SET" },
    { pattern: /\w\s*(?:←|<-)\s*\S/, weight: 3, words: "arrows for assignment" },
  ],
};
