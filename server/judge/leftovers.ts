import { consoleText, type Outcome } from "../../core/outcome/outcome.ts";
import { isOutputOf } from "../../core/verdict/cameOut.ts";
import type { Toolchains } from "../toolchains/toolchains.ts";
import { type KeptRun, type ProgramRun, runProgram } from "./run.ts";

/** What leftovers are called where they are variables of a session. */
const workspace = "variables of the session";

/**
 * Names of what an earlier run leaves, where what came out elsewhere (`cameOut`) fits only with it there: files, or the
 * variables of a session. Every run here starts from an empty state, so a program is run again beside what its first run
 * left. None where the output fits as it is or fits neither way. What was found is kept with the run.
 */
export async function leftoversThatFit(
  toolchains: Toolchains,
  request: ProgramRun & { cameOut?: string },
  outcome: Outcome | null,
  kept: KeptRun | undefined,
): Promise<readonly string[]> {
  const { cameOut } = request;
  if (!outcome || !cameOut?.trim() || isOutputOf(cameOut, outcome)) return [];
  if (outcome.leftovers) return outcome.leftovers;
  const found = (await withFiles(toolchains, request, outcome)) ?? (await withVariables(toolchains, request, outcome));
  const leftovers = found ?? [];
  outcome.leftovers = leftovers;
  await kept?.keep(outcome);
  return leftovers;
}

type Asked = ProgramRun & { cameOut?: string };

/** Runs it beside the files that the first run made or changed. */
async function withFiles(toolchains: Toolchains, request: Asked, outcome: Outcome): Promise<string[] | null> {
  const left = outcome.effects.filter(
    ({ change, text, size }) => change !== "gone" && Buffer.byteLength(text, "utf8") === size,
  );
  if (left.length === 0) return null;
  const beside = Object.fromEntries(left.map(({ name, text }) => [name, text]));
  const surroundings = { ...request.surroundings, ...beside };
  const again = await runProgram(toolchains, { ...request, surroundings });
  return again.outcome && isOutputOf(request.cameOut ?? "", again.outcome) ? left.map(({ name }) => name) : null;
}

/** Runs it twice in one session, where the language keeps a session's variables, and looks at the second output. */
async function withVariables(toolchains: Toolchains, request: Asked, outcome: Outcome): Promise<string[] | null> {
  const [main, ...others] = request.files;
  if (!request.language.keepsWorkspace || !main || !outcome.finished) return null;
  const twice = Buffer.concat([main.bytes, Buffer.from("\n"), main.bytes]);
  const input = (request.input ?? "") + (request.input ?? "");
  const again = await runProgram(toolchains, {
    ...{ ...request, input, files: [{ name: main.name, bytes: twice }, ...others] },
  });
  if (!again.outcome) return null;
  const first = consoleText(outcome.console, ["out"]);
  const both = consoleText(again.outcome.console, ["out"]);
  if (!both.startsWith(first)) return null;
  const second = { ...again.outcome, console: [{ kind: "out" as const, text: both.slice(first.length) }] };
  return isOutputOf(request.cameOut ?? "", second) ? [workspace] : null;
}
