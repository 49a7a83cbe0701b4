import * as z from "zod";
import type { Language } from "../../languages/language.ts";
import { findLanguage } from "../../languages/languages.ts";
import { lineTexts } from "../../source/lines.ts";
import { relaid } from "../../syntax/relaid.ts";
import { definePartsKind, sharedMark } from "../partsKind.ts";

const schema = z.object({
  ...{ key: z.string(), kind: z.literal("layout"), marks: z.number().int().min(1) },
  ...{ flat: z.string(), laidOut: z.string() },
});
type LayoutTask = z.infer<typeof schema>;

const widthOf = (line: string) => (/^[ \t]*/.exec(line)?.[0] ?? "").replaceAll("\t", "    ").length;

/** What the machine reads of a text. */
const tokensOf = (language: Language, text: string) =>
  language
    .tokens(text)
    .map((token) => token.text)
    .join("\u0000");

/** Every line of a text that begins a statement, with how many blocks it lies in and how far it is indented. */
function linesIn(language: Language, text: string): Array<{ line: number; depth: number; width: number }> {
  const texts = lineTexts(text);
  const seen = new Set<number>();
  return (relaid(language, text)?.lines ?? []).flatMap(({ line, depth, text: own }) => {
    if (seen.has(line) || own.trim() === "") return [];
    seen.add(line);
    return [{ line, depth, width: widthOf(texts[line - 1] ?? "") }];
  });
}

/** How many of the lines that lie in a block are indented as the others of their depth, and further than those around them. */
function laidOutRight(language: Language, text: string): { right: number; of: number; first: number | null } {
  const lines = linesIn(language, text);
  const usual = new Map<number, number>();
  for (const { depth } of lines) {
    if (usual.has(depth)) continue;
    // What most lines of a depth have is how the depth is written.
    const counts = new Map<number, number>();
    for (const each of lines) if (each.depth === depth) counts.set(each.width, (counts.get(each.width) ?? 0) + 1);
    usual.set(depth, [...counts].sort((one, other) => other[1] - one[1])[0]?.[0] ?? 0);
  }
  const isUsual = ({ depth, width }: { depth: number; width: number }) =>
    width === usual.get(depth) && (depth === 0 || width > (usual.get(depth - 1) ?? -1));
  const inside = lines.filter(({ depth }) => depth > 0);
  const wrong = lines.filter((line) => !isUsual(line));
  return {
    right: inside.filter(isUsual).length - wrong.filter(({ depth }) => depth === 0).length,
    ...{ of: inside.length, first: wrong[0]?.line ?? null },
  };
}

/** Lay a program out so that its blocks can be seen. */
export const layout = definePartsKind<LayoutTask>({
  kind: "layout",
  title: "Lay it out",
  schema,
  make: async ({ exercise }, { key, marks }) => {
    const language = findLanguage(exercise.language);
    if (!language?.syntax || language.writing?.blocks.by === "indentation")
      return "Laying out is not asked: in this language the blanks at the beginning of a line count.";
    const again = relaid(language, exercise.program);
    if (!again || again.upTo !== null) return "Laying out cannot be asked: the program does not fit the grammar.";
    const laidOut = `${again.lines.map(({ depth, text }) => "    ".repeat(depth) + text.trim()).join("\n")}\n`;
    const flat = `${again.lines.map(({ text }) => text.trim()).join("\n")}\n`;
    if (tokensOf(language, laidOut) !== tokensOf(language, exercise.program) || laidOutRight(language, laidOut).of < 2)
      return "Laying out is not asked: there is nothing in it to be indented.";
    return { key, kind: "layout", marks, flat, laidOut };
  },
  parts: (task) => [
    {
      says: "Here the program stands without any layout. Indent it so that its blocks can be seen; change nothing else.",
      shown: [],
      fields: [
        {
          ...{ name: "program", says: "The program", code: true, starts: task.flat },
          rows: Math.min(24, task.flat.split("\n").length + 1),
        },
      ],
    },
  ],
  right: (task) => ({ program: task.laidOut }),
  rule: () =>
    "The marks are shared over the lines that lie in a block, in halves, rounded down: each as far in as the others of its block, and further than what is around it. How far is yours to choose. If anything but blanks and line ends is changed, nothing is earned.",
  scheme: (task) => [{ item: "layout", marks: task.marks, words: task.laidOut.trimEnd() }],
  worthless: (task) => [{ program: task.flat }],
  mark: (task, texts, { exercise }) => {
    const language = findLanguage(exercise.language);
    const given = { item: "layout", possible: task.marks };
    const text = texts.program ?? "";
    if (!language || text.trim() === "") return [sharedMark({ ...given, reason: "Nothing was written." }, 0, 1)];
    if (tokensOf(language, text) !== tokensOf(language, task.flat))
      return [sharedMark({ ...given, reason: "More was changed than blanks and line ends." }, 0, 1)];
    const { right, of, first } = laidOutRight(language, text);
    const reason = `${Math.max(0, right)} of ${of} lines stand where their block stands.${first === null ? "" : ` The first that does not is line ${first}.`}`;
    return [sharedMark({ ...given, reason }, right, of)];
  },
});
