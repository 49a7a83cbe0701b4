import { sameValue } from "../../core/exercises/cellValues.ts";
import { withPartCheck } from "../../core/narrowing/parts.ts";
import { readProbed } from "../../core/narrowing/probes.ts";
import { consoleText } from "../../core/outcome/outcome.ts";
import { versionOf, type WholeCase } from "../cases/caseStore.ts";
import type { Changed } from "../cases/changeCase.ts";
import { languageOf } from "../judge/judge.ts";
import { runProgram } from "../judge/run.ts";
import type { Services } from "../services.ts";
import {
  insertPartCheck,
  listPartChecks,
  mostPartChecks,
  type PartCheck,
  type PartResult,
  setPartResult,
} from "./partStore.ts";

/** Keeps a check of a part: an expression in the program's language, and the value that it is to have. */
export async function addPartCheck(
  services: Services,
  found: WholeCase,
  given: Pick<PartCheck, "part" | "expression" | "expected">,
): Promise<Changed> {
  const expression = given.expression.trim();
  if (expression === "" || given.expected.trim() === "")
    return { ok: false, message: "Say what is to be worked out, and which value it is to have." };
  if (/[\r\n]/.test(expression)) return { ok: false, message: "An expression stands on one line." };
  if ((await listPartChecks(services.database.query, found.key)).length >= mostPartChecks)
    return { ok: false, message: `At most ${mostPartChecks} checks of parts.` };
  await insertPartCheck(services.database.query, found.key, { ...given, expression, expected: given.expected.trim() });
  return { ok: true };
}

async function tryPart(services: Services, found: WholeCase, check: PartCheck): Promise<PartResult | string> {
  const version = versionOf(found, found.current_version);
  const language = languageOf(found);
  const text = withPartCheck(language, version.files[0]?.text ?? "", check.expression);
  if (text === null) return "This program has no place where it starts, so nothing of it can be tried alone.";
  const files = version.files.map((file, at) => (at === 0 ? { ...file, bytes: Buffer.from(text, "utf8") } : file));
  const run = { language, files, input: found.checks[0]?.input ?? "", onlyRead: found.only_read };
  const { outcome, notRun, unknown } = await runProgram(services.toolchains, run);
  if (!outcome || unknown !== null) return unknown ?? `Nothing was run: ${notRun}`;
  const printed = readProbed(consoleText(outcome.console, ["out"])).find((piece) => piece.probe === 1)?.text ?? null;
  const primary = outcome.diagnostics.find((diagnostic) => diagnostic.primary);
  return {
    value: printed,
    passes: printed !== null && sameValue(printed, check.expected),
    ended: printed === null ? (primary?.message.split("\n")[0] ?? "It printed nothing before it ended.") : "",
    version: version.number,
  };
}

/** Tries every check of the plan on the current version, one after another. Refused where nothing could be run. */
export async function tryParts(services: Services, found: WholeCase): Promise<Changed> {
  for (const check of await listPartChecks(services.database.query, found.key)) {
    const result = await tryPart(services, found, check);
    if (typeof result === "string") return { ok: false, message: result };
    await setPartResult(services.database.query, check.key, result);
  }
  return { ok: true };
}
