import type { Language } from "../../core/languages/language.ts";
import type { CardRow, Routine } from "../../core/languages/referenceCard.ts";
import type { Outcome } from "../../core/outcome/outcome.ts";
import { findPattern } from "../../core/patterns/patterns.ts";
import { adviceFor } from "../../core/patterns/prevention.ts";
import type { Judgement } from "../../core/verdict/judge.ts";

/** An answer to what students ask of a run: what they ask, the answer, and what it rests on. */
export type AnswerCard = { asks: string; answer: string; because: string };

/** What passed of the stages of a program, in their order: read, begun, ended, right. */
function stagesOf(
  judgement: Judgement,
  outcome: Outcome | null,
): Array<{ stage: string; passed: boolean | null; why: string }> {
  const [starts, ends, right] = judgement.gates;
  return [
    {
      stage: "the whole text is read and accepted",
      passed: starts?.passes ?? null,
      why: starts?.evidence[0]?.text ?? "",
    },
    {
      stage: "its lines run, the first ones first",
      passed: outcome === null ? null : starts?.passes === true,
      why: outcome === null ? "nothing was run" : "",
    },
    { stage: "it comes to its end", passed: ends?.passes ?? null, why: ends?.evidence[0]?.text ?? "" },
    { stage: "what comes out is what is intended", passed: right?.passes ?? null, why: right?.evidence[0]?.text ?? "" },
  ];
}

/** Answers that hold for this run: never more than the evidence says. */
function answersOf(language: Language, judgement: Judgement): AnswerCard[] {
  const [starts, ends] = judgement.gates;
  const because = starts?.evidence[0]?.text ?? "";
  const late = language.namesCheckedAt === "run";
  return [
    starts?.passes === true
      ? {
          asks: "It starts. Can it still hold a syntax error?",
          answer:
            "No: the whole text was accepted before its first line ran. That says nothing of runtime errors and logic errors: those show only when their lines are reached.",
          because,
        }
      : {
          asks: "It does not start. Is that all that is wrong?",
          answer: "Nobody knows yet: nothing of it has run, so one refusal hides whatever stands behind it.",
          because,
        },
    ...(late && starts?.passes === true && ends?.passes === false
      ? [
          {
            asks: "A name is misspelt. Why is that no syntax error?",
            answer: `${language.name} looks a name up when its line is reached: whatever stood before it has run. In languages that look names up beforehand the same slip is refused.`,
            because: ends.evidence[0]?.text ?? "",
          },
        ]
      : []),
    ...(judgement.class === "logic"
      ? [
          {
            asks: "No message: is the program right?",
            answer:
              "No. A translator says what it cannot accept, and a run says what it cannot do; neither knows what was intended.",
            because: judgement.reasons.at(-1) ?? "",
          },
        ]
      : []),
  ];
}

/** What can be looked up beside a case: the language's card, the routines that its program uses first, and answers that this run gives. */
export function cardView(language: Language, program: string, judgement: Judgement, outcome: Outcome | null) {
  const { card, profile } = language;
  const used = new Set(
    language
      .tokens(program)
      .flatMap(({ kind, text }) => (kind === "name" || kind === "keyword" ? [text.toLowerCase()] : [])),
  );
  const inProgram = (routine: Routine) => used.has(routine.name.toLowerCase());
  const linked = (row: CardRow) => ({ ...row, patternName: row.pattern ? (findPattern(row.pattern)?.name ?? "") : "" });
  return {
    rows: (card?.rows ?? []).map(linked),
    routines: {
      used: (card?.routines ?? []).filter(inProgram),
      others: (card?.routines ?? []).filter((routine) => !inProgram(routine)),
    },
    stages: stagesOf(judgement, outcome),
    answers: answersOf(language, judgement),
    advice: adviceFor(language, program).map((each) => ({
      ...each,
      patternName: findPattern(each.pattern)?.name ?? "",
    })),
    names: { caseSensitive: profile.caseSensitive },
    firstIndex: profile.firstIndex,
  };
}
export type CardView = ReturnType<typeof cardView>;
