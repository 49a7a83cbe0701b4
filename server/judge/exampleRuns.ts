import { createHash } from "node:crypto";
import { findLanguage } from "../../core/languages/languages.ts";
import type { Outcome } from "../../core/outcome/outcome.ts";
import { type Example, faultyLine } from "../../core/patterns/example.ts";
import type { ExampleRecord } from "../../core/patterns/exampleRecords.ts";
import type { Toolchains } from "../toolchains/toolchains.ts";
import { judgeProgram } from "./judge.ts";

/** Signs of what an example prints that are kept; what never ends prints without end. */
const mostPrinted = 200;

const printedBy = (outcome: Outcome | null) =>
  (outcome?.console ?? [])
    .filter(({ kind }) => kind === "out")
    .map(({ text }) => text)
    .join("");

/** An example by its texts: where they change, what was recorded of it is of another one. */
export function hashOfExample({ language, right, faulty, input }: Example): string {
  return createHash("sha256")
    .update(JSON.stringify([language, right, faulty, input]))
    .digest("hex");
}

/** What became of an example of a kind of mistake in real runs; `problem` says why it is none, in words. */
export type ExampleRun = { ok: true; record: ExampleRecord } | { ok: false; problem: string };

/**
 * Runs an example of a kind of mistake: the right program, whose output is what is intended, and then the one with the slip, which is judged by it.
 * `harmless`: the kind is no fault by itself, so none has to show.
 */
export async function runExample(
  toolchains: Toolchains,
  example: Example,
  { harmless = false }: { harmless?: boolean } = {},
): Promise<ExampleRun> {
  const language = findLanguage(example.language);
  if (!language) return { ok: false, problem: `The language ${example.language} is not known.` };
  const request = (text: string) => ({
    ...{ language, input: example.input, policies: { endlessClass: "logic" as const } },
    files: [{ name: language.mainName, bytes: Buffer.from(text) }],
  });
  const right = await judgeProgram(toolchains, request(example.right));
  if (right.notRun) return { ok: false, problem: `Nothing was run: ${right.notRun}.` };
  if (right.judgement.class !== null)
    return { ok: false, problem: `The right program is not right: ${right.judgement.reasons.join(" ")}` };
  const intended = printedBy(right.outcome);
  if (intended.trim() === "") return { ok: false, problem: "The right program prints nothing that could be compared." };
  const faulty = await judgeProgram(toolchains, { ...request(example.faulty), expected: intended });
  const { judgement, outcome } = faulty;
  if (judgement.class === null && !harmless)
    return { ok: false, problem: "The faulty program does the same as the right one." };
  return {
    ok: true,
    record: {
      example: hashOfExample(example),
      ...{ class: judgement.class, kind: judgement.kind, symptom: judgement.symptom },
      message: judgement.diagnostic
        ? [judgement.diagnostic.errorName, judgement.diagnostic.message].filter(Boolean).join(": ")
        : null,
      ...{ reportedLine: judgement.reportedLine, faultyLine: faultyLine(example) },
      ...{ intended: intended.slice(0, mostPrinted), printed: printedBy(outcome).slice(0, mostPrinted) },
    },
  };
}
