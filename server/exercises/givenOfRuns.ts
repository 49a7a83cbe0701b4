import type { ExerciseContent } from "../../core/exercises/exercise.ts";
import { consoleText } from "../../core/outcome/outcome.ts";
import type { Services } from "../services.ts";
import { runForCheck } from "./runForCheck.ts";

/** What a teacher chooses that students see: the outputs of the program that is handed out, and its error output. */
export type ShownOfRuns = { outputs?: boolean; errors?: boolean };

/** How many inputs are shown with what comes out. */
const mostShown = 4;

/** What students see beside the program, from real runs with the checks; the same error output once. */
export async function givenOfRuns(
  services: Pick<Services, "toolchains">,
  content: Pick<ExerciseContent, "language" | "fileName" | "program" | "checks">,
  show: ShownOfRuns,
): Promise<ExerciseContent["given"]> {
  const given: ExerciseContent["given"] = [];
  if (!show.outputs && !show.errors) return given;
  for (const check of content.checks.slice(0, mostShown)) {
    const ran = await runForCheck(services, content, content.program, check);
    if ("notRun" in ran) continue;
    const typed = check.input.trim() === "" ? "" : ` when ${check.input.trim().split("\n").join(" / ")} is typed in`;
    const output = consoleText(ran.outcome.console, ["out"]);
    const errors = consoleText(ran.outcome.console, ["err"]).trimEnd();
    if (show.outputs && ran.outcome.stoppedBy !== "refused")
      given.push({ of: "output", says: `It prints${typed}:`, text: output.slice(0, mostCharacters) });
    if (show.errors && errors !== "" && !given.some(({ text }) => text === errors))
      given.push({ of: "errors", says: `Its error output${typed}:`, text: errors.slice(0, mostCharacters) });
  }
  return given;
}

/** Characters of an output that are shown. */
const mostCharacters = 4000;
