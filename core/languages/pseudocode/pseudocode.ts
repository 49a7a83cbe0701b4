import { builtins } from "../../interpreters/pseudocode/builtins.ts";
import { pseudocodeCharts } from "../../interpreters/pseudocode/charts.ts";
import { spellings, typeSpellings, type Word } from "../../interpreters/pseudocode/words.ts";
import { escaped } from "../../source/escaped.ts";
import { type Language, messageReading } from "../language.ts";
import { tokensByLine } from "../lexical.ts";
import { conditionOf } from "../statements.ts";
import type { Token } from "../token.ts";
import { pseudocodeCard } from "./card.ts";
import { pseudocodeInput } from "./input.ts";
import { pseudocodeExplanations } from "./meanings.ts";
import { ownInterpreter } from "./messages.ts";
import { mixedSpellings } from "./mixed.ts";
import { pseudocodeSyntax } from "./syntax.ts";
import { assigningSigns, isWord as is, pseudocodeKeywords, pseudocodeTokens } from "./tokens.ts";
import { pseudocodeValues } from "./values.ts";
import { pseudocodeWays } from "./way.ts";
import { pseudocodeWriting } from "./writing.ts";
import { writtenAs, writtenForms } from "./written.ts";

const allSpellings = Object.values(spellings).flat();

function assignedNames(line: readonly Token[]): string[] {
  const names: string[] = [];
  for (const [index, token] of line.entries()) {
    const before = line[index - 1];
    const gives =
      assigningSigns.has(token.text) || (token.text === "=" && (index === 1 || is(line[0], "for", "constant")));
    if (gives && before?.kind === "name") names.push(before.text);
    if (gives && before?.text === "]") {
      const open = line.findIndex((each) => each.text === "[");
      if (line[open - 1]?.kind === "name") names.push(line[open - 1]?.text ?? "");
    }
    if (is(token, "input", "for", "set", "declare", "each") && line[index + 1]?.kind === "name")
      names.push(line[index + 1]?.text ?? "");
    if (is(line[0], "input", "readfile") && token.text === "," && line[index + 1]?.kind === "name")
      names.push(line[index + 1]?.text ?? "");
  }
  return [...new Set(names)];
}

const opensBlock: readonly Word[] = ["if", "case", "for", "while", "repeat", "procedure", "function", "type"];
const closesBlock: readonly Word[] = [
  "endif",
  "endcase",
  "endfor",
  "next",
  "endwhile",
  "until",
  "endprocedure",
  "endfunction",
  "endtype",
];
const spellingsOf = (words: readonly Word[]): Set<string> =>
  new Set(words.flatMap((word) => spellings[word].map((each) => each.toLowerCase())));
const inBothCases = (words: readonly Word[]): Set<string> =>
  new Set(
    words.flatMap((word) =>
      spellings[word].flatMap((each) => [each, each.toLowerCase(), each.charAt(0) + each.slice(1).toLowerCase()]),
    ),
  );

/** The first position of `name : ARRAY[0:4]` or of `ARRAY name[0:4]`; 1 where no other is declared. */
function firstPosition(program: string, name: string): number {
  const bounds = String.raw`\[\s*(-?\d+)\s*(?::|TO\b)`;
  const written = String.raw`\b${escaped(name)}\b[^:"\r\n]*:\s*ARRAY\s*${bounds}|\bARRAY\s+${escaped(name)}\s*${bounds}`;
  const found = new RegExp(written, "i").exec(program);
  return Number(found?.[1] ?? found?.[2] ?? 1);
}

/** The lines between an UNTIL and the REPEAT that it belongs to, that one included. */
function repeatedLines(lines: ReadonlyMap<number, readonly Token[]>, until: number): number[] {
  let depth = 0;
  for (const line of [...lines.keys()].filter((each) => each <= until).sort((one, other) => other - one)) {
    if (is(lines.get(line)?.[0], "until")) depth += 1;
    if (is(lines.get(line)?.[0], "repeat")) depth -= 1;
    if (depth === 0) return [...lines.keys()].filter((each) => each >= line && each < until);
  }
  return [];
}

/** Pseudocode of our own: what exams and first lessons write on paper, read in its common spellings and run. */
export const pseudocode: Language = {
  id: "pseudocode",
  name: "Pseudocode",
  extension: ".pseudo",
  mainName: "program.pseudo",
  lineComment: "//",
  namesCheckedAt: "run",
  profile: {
    stages: [
      "our own interpreter reads all of it; what is wrong is said line by line",
      "it runs, statement by statement",
    ],
    blocks: "words such as IF … ENDIF",
    statementEnd: "the end of the line",
    caseSensitive: false,
    firstIndex: "declared",
    unsetValue: "none: reading it stops the program",
    integerDivision: "/ gives a number with decimals; DIV and MOD go down, also below zero",
    input: "a number where it reads as one, else a text",
    strictness: "a course can have all names looked for before anything runs",
    usualDistance: "a block that is never closed is reported at its beginning",
  },
  card: pseudocodeCard,
  inputForms: pseudocodeInput,
  tokens: pseudocodeTokens,
  syntax: pseudocodeSyntax,
  writing: pseudocodeWriting(""),
  writingOf: pseudocodeWriting,
  firstPosition,
  charts: pseudocodeCharts,
  ways: pseudocodeWays,
  ownWarnings: [mixedSpellings],
  runsInBrowser: true,
  forms: { all: writtenForms, write: writtenAs },
  values: pseudocodeValues,
  keywords: pseudocodeKeywords,
  ...messageReading([ownInterpreter], "first", () => false),
  kindOfRefusal: ({ errorName }) =>
    /^(?:name not known|routine|type not known|number of values|procedure as value|parameter twice|constant changed|return|no target)/.test(
      errorName ?? "",
    )
      ? "meaning"
      : "form",
  unknownName: ({ message }) => /^The name (\S+) is given no value/.exec(message)?.[1] ?? null,
  explanations: pseudocodeExplanations,
  assignedNames,
  usedNames: (line) => [...new Set(line.filter((token) => token.kind === "name").map((token) => token.text))],
  loopCondition: (line) => {
    const at = line.findIndex((token) => is(token, "while", "until"));
    return at < 0 ? null : conditionOf(line.slice(at + 1), new Set(), is(line[at], "until"));
  },
  blockLines: (program, header) => {
    const lines = tokensByLine(pseudocodeTokens(program));
    if (is(lines.get(header)?.[0], "until")) return repeatedLines(lines, header);
    const numbers = [...lines.keys()].filter((line) => line > header).sort((one, other) => one - other);
    let depth = 1;
    const inside: number[] = [];
    for (const number of numbers) {
      const [first, second] = lines.get(number) ?? [];
      if (is(first, ...closesBlock) || (is(first, "end") && second !== undefined)) depth -= 1;
      inside.push(number);
      if (depth === 0) break;
      if (is(first, ...opensBlock)) depth += 1;
    }
    return inside;
  },
  decisionWords: inBothCases(["if", "elseif", "while", "until", "for", "case"]),
  loopWords: inBothCases(["while", "for", "repeat"]),
  definesFunction: (line) => is(line[0], "function", "procedure"),
  chanceWords: new Set(),
  unseenWords: new Set(),
  blockWords: { opens: spellingsOf(opensBlock), closes: spellingsOf(closesBlock) },
  quietFunctions: new Set([
    "LENGTH",
    "LEN",
    "MID",
    "LEFT",
    "RIGHT",
    "UPPER",
    "LOWER",
    "INT",
    "ROUND",
    "ABS",
    "SQRT",
    "MIN",
    "MAX",
  ]),
  numberRanges: {},
  loopExits: [],
  ownWords: new Set(
    [...allSpellings, ...Object.keys(typeSpellings), ...[...builtins.values()].map(({ name }) => name)].flatMap(
      (word) => [word, word.toLowerCase()],
    ),
  ),
  signs: [
    {
      pattern: /^\s*(?:ENDIF|ENDWHILE|ENDFOR|END IF|END WHILE|ENDPROCEDURE|ENDFUNCTION|ENDCASE)\b/m,
      weight: 4,
      words: "ENDIF, ENDWHILE",
    },
    { pattern: /^\s*(?:OUTPUT|INPUT|DISPLAY|SET|DECLARE)\s+\S/m, weight: 3, words: "INPUT, OUTPUT, DECLARE" },
    { pattern: /\w\s*(?:←|<-)\s*\S/, weight: 3, words: "arrows for assignment" },
    { pattern: /^\s*NEXT\s+\w+\s*$/m, weight: 2, words: "NEXT" },
    { pattern: /^\s*begin\s*(?:->|→)/m, weight: 6, words: "a chart of steps and arrows" },
  ],
};
