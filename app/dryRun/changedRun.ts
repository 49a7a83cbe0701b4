import { placeProblem } from "../../core/trace/changePlace.ts";
import type { Trace } from "../../core/trace/trace.ts";
import type { ProgramCheck } from "../../server/assignments/checkStore.ts";
import type { WholeCase } from "../../server/cases/caseStore.ts";
import type { Version } from "../../server/cases/versionStore.ts";
import { languageOf, requestOfCheck } from "../../server/judge/judge.ts";
import { recordProgram } from "../../server/judge/run.ts";
import type { Services } from "../../server/services.ts";

/** What is to be changed before a recorded step: a variable with its value, a file with its text (null: taken away). */
export type WantedChange = {
  step: number;
  put?: { name: string; value: string };
  files?: Readonly<Record<string, string | null>>;
};

/** Characters of a name, a value and a file that are taken. */
const most = { name: 200, value: 2000, file: 20_000 };

/** What an address asks to be changed; null where it asks for nothing. */
export function wantedChange(query: URLSearchParams): WantedChange | null {
  const step = Number(query.get("step") ?? "");
  const cut = (field: string, length: number) => (query.get(field) ?? "").slice(0, length);
  const name = cut("name", most.name).trim();
  const file = cut("file", most.name).trim();
  if (query.get("step") === null || !Number.isInteger(step) || (name === "" && file === "")) return null;
  const gone = query.get("gone") !== null;
  const text = cut("text", most.file).replaceAll("\r\n", "\n");
  return {
    step,
    ...(name === "" ? {} : { put: { name, value: cut("value", most.value) } }),
    ...(file === "" ? {} : { files: { [file]: gone ? null : text } }),
  };
}

/** Why a file that is to be changed cannot be one beside the program; null where it can. */
function fileProblem(name: string): string | null {
  const inside = !name.startsWith("/") && !name.split(/[\\/]/).includes("..") && !name.includes("\0");
  return inside ? null : `“${name}” does not lie beside the program.`;
}

/** The run of a version with something changed before a step of its real run; words where there is none. */
export async function changedRun(
  services: Services,
  found: WholeCase,
  real: { version: Version; check: ProgramCheck; trace: Trace },
  wanted: WantedChange,
): Promise<Trace | string> {
  const step = real.trace.steps.find((each) => each.index === wanted.step);
  const problem =
    placeProblem(real.trace.steps, step) ??
    Object.keys(wanted.files ?? {})
      .map(fileProblem)
      .find(Boolean);
  if (!step || problem) return problem ?? "";
  if (wanted.put?.value.trim() === "") return `Say which value ${wanted.put.name} is to get.`;
  const change = { ...wanted, line: step.line };
  const run = { language: languageOf(found), files: real.version.files, ...requestOfCheck(real.check), change };
  const recorded = await recordProgram(services.toolchains, run);
  if ("notRun" in recorded) return recorded.notRun;
  return recorded.trace.notChanged ?? recorded.trace;
}

/** The files beside the program as they stand where a step is about to run; or why they are not known. */
export type FilesAt = { files: ReadonlyArray<{ name: string; text: string }>; why: string };

/** The files that lie beside a version when a step of its run is about to begin; words where they are not known. */
export async function filesAtStep(
  services: Services,
  found: WholeCase,
  real: { version: Version; check: ProgramCheck; trace: Trace },
  index: number,
): Promise<ReadonlyArray<{ name: string; text: string }> | string> {
  const step = real.trace.steps.find((each) => each.index === index);
  const problem = placeProblem(real.trace.steps, step);
  if (!step || problem !== null) return problem ?? "";
  const change = { step: step.index, line: step.line };
  const run = { language: languageOf(found), files: real.version.files, ...requestOfCheck(real.check), change };
  const recorded = await recordProgram(services.toolchains, run);
  if ("notRun" in recorded) return recorded.notRun;
  return recorded.trace.filesAt ?? "The run did not come to this step again.";
}

/** What was changed, in words. */
export function wordsOfChange({ put, files }: WantedChange): string {
  return [
    ...(put ? [`${put.name} = ${put.value.trim()}`] : []),
    ...Object.entries(files ?? {}).map(([name, text]) => (text === null ? `${name} taken away` : `${name} altered`)),
  ].join(", ");
}
