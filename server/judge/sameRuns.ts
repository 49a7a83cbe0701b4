import { consoleText } from "../../core/outcome/outcome.ts";
import type { WholeCase } from "../cases/caseStore.ts";
import type { Version } from "../cases/versionStore.ts";
import type { Services } from "../services.ts";
import { requestFor } from "./judge.ts";
import { type Ran, runProgram } from "./run.ts";

/** How two runs compare: what was typed in where they part, with what each did; null where they do the same. */
export type RunsPart = { input: string; was: string; is: string };

/** What a run did, but for the numbers of lines, which a layout changes: how it ended, everything that it printed, and the files that it left. */
function did({ outcome }: Ran): string {
  if (!outcome) return "";
  const printed = consoleText(outcome.console, ["out"]);
  return JSON.stringify([outcome.stoppedBy, outcome.exit.code, printed, outcome.effects]);
}

/** A run in few words. */
function inWords({ outcome }: Ran): string {
  if (!outcome) return "it was not run";
  const printed = consoleText(outcome.console, ["out"]).trim().slice(0, 200);
  const ended = outcome.stoppedBy === "none" ? "" : `, ended by: ${outcome.stoppedBy}`;
  return `${printed === "" ? "nothing was printed" : `“${printed}”`}${ended}`;
}

/**
 * Whether another text of a version's main file does the same with everything that its checks type in; `tried` says how many
 * those were. Words where it is not run.
 */
export async function runsTheSame(
  services: Pick<Services, "toolchains">,
  found: WholeCase,
  version: Version,
  text: string,
): Promise<{ tried: number; parts: RunsPart | null } | { notRun: string }> {
  let tried = 0;
  for (const check of found.checks) {
    const request = requestFor(found, version, check);
    const [main, ...others] = request.files;
    if (!main) break;
    const was = await runProgram(services.toolchains, request);
    const is = await runProgram(services.toolchains, {
      ...request,
      files: [{ ...main, bytes: Buffer.from(text, "utf8") }, ...others],
    });
    const notRun = was.notRun ?? was.unknown ?? is.notRun ?? is.unknown;
    if (notRun !== null) return { notRun };
    tried += 1;
    if (did(was) !== did(is)) return { tried, parts: { input: check.input, was: inWords(was), is: inWords(is) } };
  }
  return { tried, parts: null };
}
