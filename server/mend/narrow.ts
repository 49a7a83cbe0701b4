import { applyProbes, type Probe, readProbed } from "../../core/narrowing/probes.ts";
import type { Outcome } from "../../core/outcome/outcome.ts";
import { suggestVerdict } from "../../core/verdict/verdict.ts";
import { versionOf, type WholeCase } from "../cases/caseStore.ts";
import type { Changed } from "../cases/changeCase.ts";
import { languageOf, requestFor } from "../judge/judge.ts";
import { runProgram } from "../judge/run.ts";
import type { Who } from "../people/teacherStore.ts";
import type { Services } from "../services.ts";
import { insertTry, type Tried } from "./narrowStore.ts";

/** Characters of what came out that the log keeps of a try. */
const mostShown = 12_000;
/** Probes of a try. */
const mostProbes = 60;

/** What came out with the printed values taken apart, short. */
function piecesOf(outcome: Outcome): Tried["pieces"] {
  let room = mostShown;
  return outcome.console.flatMap((piece) => {
    const parts = piece.kind === "out" ? readProbed(piece.text) : [{ probe: null, text: piece.text }];
    return parts.flatMap(({ probe, text }) => {
      if (room <= 0) return [];
      const shown = text.slice(0, room);
      room -= text.length + 1;
      return [{ kind: probe === null ? piece.kind : ("probe" as const), probe, text: shown }];
    });
  });
}

/** The outcome as it would be without what the probes printed. */
function withoutProbes(outcome: Outcome): Outcome {
  const own = (text: string) =>
    readProbed(text)
      .filter((piece) => piece.probe === null)
      .map((piece) => piece.text)
      .join("");
  const console = outcome.console.map((piece) => (piece.kind === "out" ? { ...piece, text: own(piece.text) } : piece));
  return { ...outcome, console: console.filter((piece) => piece.text !== "") };
}

/**
 * Runs a copy of the current version with probes in it and the input of a check, and writes what it showed into the log. The
 * version stays as it is. Refused, with words for the person, where a probe cannot stand where it is wanted.
 */
export async function tryProbes(
  services: Services,
  found: WholeCase,
  who: Who,
  given: { check: string; probes: readonly Probe[]; belief: string },
): Promise<Changed> {
  const version = versionOf(found, found.current_version);
  const check = found.checks.find((each) => each.key === given.check) ?? found.checks[0];
  if (!check) return { ok: false, message: "This case has no run to try anything with." };
  if (given.probes.length === 0) return { ok: false, message: "Choose a line and what to try there first." };
  if (given.probes.length > mostProbes) return { ok: false, message: `At most ${mostProbes} at once.` };
  const language = languageOf(found);
  const main = version.files[0];
  const probed = applyProbes(language, main?.text ?? "", given.probes);
  if (!probed.ok) return probed;
  const request = requestFor(found, version, check);
  const files = request.files.map((file, at) =>
    at === 0 ? { ...file, bytes: Buffer.from(probed.text, "utf8") } : file,
  );
  const { outcome, notRun, unknown } = await runProgram(services.toolchains, { ...request, files });
  if (!outcome || unknown !== null) return { ok: false, message: unknown ?? `Nothing was run: ${notRun}` };
  const verdict = suggestVerdict({
    ...{ language, outcome: withoutProbes(outcome), endless: null, lastState: null },
    ...{ endlessClass: request.policies.endlessClass, expected: request.expected, intended: request.intended },
    ...{ comparison: request.comparison, fileNames: files.map((file) => file.name) },
  });
  const gates = verdict.gates.map((gate) => gate.passes);
  const result: Tried = {
    pieces: piecesOf(outcome),
    ended: verdict.reasons.at(-1) ?? "",
    passes: gates.includes(false) ? false : gates.every((gate) => gate === true) ? true : null,
    milliseconds: outcome.milliseconds,
  };
  await insertTry(services.database.query, found.key, {
    ...{ version: version.key, probes: [...given.probes], belief: given.belief, result, who: who.role },
    check_name: check.name || (check.handed_in ? "the run as handed in" : `a check (${check.kind})`),
  });
  return { ok: true };
}
