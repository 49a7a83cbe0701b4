import { compareOutput } from "../../core/assignments/compareOutput.ts";
import { lettersOf } from "../../core/assignments/overview.ts";
import type { Assignment } from "../../server/assignments/assignmentStore.ts";
import { findCase, versionOf } from "../../server/cases/caseStore.ts";
import { lastHandedIn } from "../../server/classwork/judgeAssignment.ts";
import type { Overview } from "../../server/classwork/overview.ts";
import { requestFor } from "../../server/judge/judge.ts";
import { runProgram } from "../../server/judge/run.ts";
import { findKeptRun } from "../../server/judge/runStore.ts";
import type { Services } from "../../server/services.ts";
import { shortConsole } from "../components/shortConsole.ts";

/** A program of the table: its results as a letter each (core/assignments/overview.ts), and what its row says. */
export type ShownProgram = Pick<Overview["programs"][number], "key" | "name" | "file" | "class" | "kind"> & {
  letters: string;
  /** What the row says where there is no class. */
  state: "no fault shown" | "open" | "not judged yet";
  earlier: number;
};

/** What the page of an overview shows of it: cells without what only a pressed one tells. */
export function shownOverview({ programs, ...rest }: Overview) {
  return {
    ...rest,
    programs: programs.map(
      ({ key, name, file, class: faultClass, kind, ...program }): ShownProgram => ({
        ...{ key, name, file, class: faultClass, kind, earlier: program.earlier.length },
        letters: lettersOf(program.cells.map((cell) => cell?.result ?? null)),
        state: program.passesAll ? "no fault shown" : program.judged ? "open" : "not judged yet",
      }),
    ),
  };
}

/** A pressed cell: the run beside what is intended. Null where the program or the check is not there any more. */
export async function pressedCell(
  services: Services,
  assignment: Assignment,
  { programs }: Pick<Overview, "programs">,
  caseKey: string,
  checkKey: string,
) {
  const found = await findCase(services.database, caseKey, "all");
  if (!found || found.assignment !== assignment.key) return null;
  const head = lastHandedIn(found);
  const check = found.checks.find((each) => (checkKey === "" ? each.handed_in : each.key === checkKey));
  if (!head || !check) return null;
  const version = versionOf(found, head.key);
  const kept = await findKeptRun(services.database, { version: version.key, check: check.key, edition: check.edition });
  const outcome = kept ?? (await runProgram(services.toolchains, requestFor(found, version, check))).outcome;
  const intended = check.pieces ?? check.expected;
  const compared = outcome && intended !== null ? compareOutput(outcome.console, intended, check.comparison) : null;
  return {
    caseKey,
    name: found.student_label ?? found.title,
    file: version.files[0]?.name ?? "",
    check: { key: checkKey, name: check.handed_in ? "as handed in" : check.name, purpose: check.purpose },
    input: check.input,
    expected: check.expected,
    pieces: check.pieces,
    conflict: check.conflict ? check.recorded : null,
    from: check.from,
    console: outcome ? shortConsole(outcome.console) : null,
    message: outcome?.diagnostics.find((each) => each.primary)?.message ?? null,
    ended: outcome?.finished ?? false,
    difference: compared && !compared.same ? compared : null,
    earlier: programs.find((program) => program.key === caseKey)?.earlier ?? [],
    tries: version.number,
  };
}
export type PressedCell = NonNullable<Awaited<ReturnType<typeof pressedCell>>>;
