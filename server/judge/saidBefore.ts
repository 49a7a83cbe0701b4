import { findLanguage } from "../../core/languages/languages.ts";
import type { Toolchains } from "../toolchains/toolchains.ts";
import { judgeProgram } from "./judge.ts";

/** A faulty program of a collection with what it is, said before it was run: its class, and the line that is reported (from 1). */
export type SaidBefore = {
  what: string;
  class: "syntax" | "runtime" | "logic";
  line: number | null;
  program: string;
  input?: string;
};

/** What a run makes of each of them otherwise than was said, in words; none where all are as they were said. */
export async function differing(
  toolchains: Toolchains,
  id: string,
  expected: string,
  programs: readonly SaidBefore[],
): Promise<string[]> {
  const language = findLanguage(id);
  if (!language) throw new Error(`no language ${id}`);
  const differ: string[] = [];
  for (const { what, program, input = "", ...said } of programs) {
    const { judgement } = await judgeProgram(toolchains, {
      ...{ language, input, expected, policies: { endlessClass: "logic" as const } },
      files: [{ name: language.mainName, bytes: Buffer.from(program) }],
    });
    if (judgement.class !== said.class || judgement.reportedLine !== said.line)
      differ.push(`${what}: ${judgement.class}, line ${judgement.reportedLine}: ${judgement.reasons.join(" ")}`);
  }
  return differ;
}
