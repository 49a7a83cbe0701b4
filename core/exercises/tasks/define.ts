import * as z from "zod";
import { faultClassSchema } from "../../cases/case.ts";
import type { FaultClass } from "../../verdict/verdict.ts";
import { defineTaskKind, type ItemMark } from "../taskKind.ts";

const schema = z.object({
  key: z.string(),
  kind: z.literal("define"),
  marks: z.number().int().min(2),
  class: faultClassSchema,
});
const answerSchema = z.object({ what: z.string().max(4000).default(""), effect: z.string().max(4000).default("") });

/** Which class is to be defined. */
export type DefineView = { class: FaultClass };
export type DefineAnswer = z.infer<typeof answerSchema>;

/** An idea that earns the mark: any of the forms of words in which people write it, and how it is said to the teacher. */
type KeyIdea = { says: string; forms: readonly RegExp[] };

/**
 * What a class of error is, and what it brings about. The definitions are those of the verdict: syntax breaks a rule of
 * the language and is refused before anything runs, a runtime error stops a running program, a logic error lets it end
 * with another result than intended.
 */
const ideas: Readonly<Record<FaultClass, { what: readonly KeyIdea[]; effect: readonly KeyIdea[] }>> = {
  syntax: {
    what: [
      {
        says: "a rule of the language is broken",
        forms: [
          /\b(?:rules?|grammar|syntax rules?|structure)\b.*\blanguage\b|\blanguage'?s? (?:rules?|grammar)/i,
          /\b(?:break|broke|violat|against|not follow|n't follow|wrong|incorrect|mistake|error)\w*\b.*\b(?:rules?|grammar)\b/i,
          /\b(?:rules?|grammar)\b.*\b(?:broken|violat\w*|not (?:been )?(?:followed|kept|obeyed))\b/i,
          /(?:\bnot|n't|in)(?:correctly| correctly)? (?:written|formed|spelt|valid)\b/i,
        ],
      },
    ],
    effect: [
      {
        says: "it is refused or not translated, so nothing of it runs",
        forms: [
          /(?:\bnot|n't|never|cannot|can not|refus\w*|fail\w*|unable)\b[^.]*\b(?:run|runs|start\w*|execut\w*|compil\w*|translat\w*|interpret\w*|understood)\b/i,
          /\bnothing\b[^.]*\b(?:runs?|ran|happens|printed|starts?)\b/i,
          /\b(?:before)\b[^.]*\b(?:runs?|start\w*|execut\w*)\b/i,
        ],
      },
    ],
  },
  runtime: {
    what: [
      {
        says: "it shows while the program is running",
        forms: [
          /\b(?:while|when|during|as)\b[^.]*\b(?:run\w*|execut\w*|reached)\b/i,
          /\bat run[- ]?time\b|\bafter\b[^.]*\b(?:start\w*|began|translat\w*|compil\w*)\b/i,
        ],
      },
    ],
    effect: [
      {
        says: "the program stops before its end",
        forms: [
          /\b(?:stop\w*|crash\w*|abort\w*|terminat\w*|halt\w*|break\w* off|broke off|quits?)\b/i,
          /\b(?:ends?|exits?) (?:too )?(?:early|unexpectedly|abnormally|suddenly)\b|\bexception\b/i,
          /(?:\bnot|n't|never)\b[^.]*\b(?:finish\w*|come to its end|reach\w* (?:its|the) end|complete)\b/i,
        ],
      },
    ],
  },
  logic: {
    what: [
      {
        says: "the steps are allowed, and not those that are meant",
        forms: [
          /\b(?:wrong|incorrect|mistake|flaw|fault|error)\w*\b[^.]*\b(?:algorithm|design|thinking|steps?|formula|condition|logic|reasoning|order|calculation)\b/i,
          /\b(?:algorithm|design|thinking|steps?|formula|condition|logic|reasoning|calculation)\b[^.]*\b(?:wrong|incorrect|flaw\w*|not)\b/i,
          /(?:\bnot|n't)\b[^.]*\b(?:what|as)\b[^.]*\b(?:meant|intended|wanted|expected|should)\b/i,
          /\b(?:runs?|works?)\b[^.]*\bbut\b/i,
        ],
      },
    ],
    effect: [
      {
        says: "the program runs and the result is not the intended one",
        forms: [
          /\b(?:wrong|incorrect|unexpected|unintended|different|false)\b[^.]*\b(?:outputs?|results?|answers?|values?|thing)\b/i,
          /\b(?:outputs?|results?|answers?)\b[^.]*\b(?:wrong|incorrect|unexpected|not|differ\w*|false)\b/i,
          /(?:\bnot|n't)\b[^.]*\b(?:do|give|print|produce|behave)\w*\b[^.]*\b(?:what|as)\b/i,
          /\bnever ends?\b/i,
        ],
      },
    ],
  },
};

/** The class whose definition is asked for where that of the fault would give an answer away. */
const after: Readonly<Record<FaultClass, FaultClass>> = { syntax: "runtime", runtime: "logic", logic: "syntax" };
const items = { what: "what it is", effect: "its effect" } as const;

/**
 * What is suggested for one part of a definition: the share of its key ideas that were found (0 to 1), with words for
 * whoever decides.
 */
export function suggestDefinitionMark(
  text: string,
  faultClass: FaultClass,
  part: keyof typeof items,
): { share: number; words: string } {
  if (text.trim() === "") return { share: 0, words: "Nothing was written." };
  const wanted = ideas[faultClass][part];
  const found = wanted.filter((idea) => idea.forms.some((form) => form.test(text)));
  const missing = wanted.filter((idea) => !found.includes(idea)).map((idea) => idea.says);
  return {
    share: found.length / wanted.length,
    words: missing.length === 0 ? "The key idea is in it." : `Not found in it: ${missing.join("; ")}.`,
  };
}

/** Marks for what it is; its effect has the rest. */
const forWhat = (marks: number) => Math.ceil(marks / 2);

/** Say what a class of error is and what it brings about. Each part is read by the teacher, with a suggestion. */
export const define = defineTaskKind({
  kind: "define",
  title: "Define a kind of error",
  schema,
  answerSchema,
  usualMarks: () => 0,
  needsRun: false,
  answeredBeforeTrying: false,
  answeredOnProgram: false,
  make: async ({ exercise }, { key, marks }) => {
    const fault = exercise.faults[0];
    if (!fault) return "What an error of the kind is cannot be asked: the case has no verdict yet.";
    // Where the kind of this fault is asked as well, its name must not stand in the next question.
    const given = exercise.tasks.some((task) => task.kind === "classify");
    return { key, kind: "define", marks: Math.max(2, marks), class: given ? after[fault.class] : fault.class };
  },
  change: async (_, task, fields) => {
    const chosen = z.object({ class: z.array(faultClassSchema).length(1) }).safeParse(fields);
    return chosen.success ? { ...task, class: chosen.data.class[0] ?? task.class } : "Choose one of the three classes.";
  },
  view: (task): DefineView => ({ class: task.class }),
  asks: (task) => ({
    parts: [
      {
        ...{ says: "", shown: [] },
        fields: [
          { name: "what", says: `A ${task.class} error: what is it?`, rows: 2 },
          { name: "effect", says: "What does it bring about?", rows: 2 },
        ],
      },
    ],
    right: {},
  }),
  rule: (task) =>
    `What it is earns ${forWhat(task.marks)}, its effect ${task.marks - forWhat(task.marks)}. Your teacher reads both.`,
  scheme: (task) =>
    (["what", "effect"] as const).map((part) => ({
      item: items[part],
      marks: part === "what" ? forWhat(task.marks) : task.marks - forWhat(task.marks),
      words: `${task.class} error: ${ideas[task.class][part].map((idea) => idea.says).join("; ")}`,
    })),
  key: (task): DefineView => ({ class: task.class }),
  mark: async (task, answer) =>
    (["what", "effect"] as const).map((part): ItemMark => {
      const possible = part === "what" ? forWhat(task.marks) : task.marks - forWhat(task.marks);
      const suggestion = suggestDefinitionMark(answer[part], task.class, part);
      const nothing = answer[part].trim() === "";
      return {
        item: items[part],
        earned: nothing ? 0 : null,
        possible,
        ...(nothing ? {} : { suggested: Math.floor(possible * suggestion.share * 2) / 2 }),
        reason: suggestion.words,
      };
    }),
  compare: (_, answer) => answer,
});
