import { intendedOf, textWithPrompts } from "../../core/assignments/intended.ts";
import type { ExerciseCheck, ExerciseContent } from "../../core/exercises/exercise.ts";
import { drawScene, inputInScene, inScene, inWordsOf, type Scene } from "../../core/exercises/scene/otherScene.ts";
import { languageOf } from "../judge/judge.ts";
import { runProgram } from "../judge/run.ts";
import type { Services } from "../services.ts";
import { withLooks } from "./looks.ts";
import { checkedAnew, inequality, makeAnew, type Remade } from "./remake.ts";
import { runOfText } from "./runForCheck.ts";

/** How many scenes are tried; the later ones leave the numbers as they are. */
const mostTried = 6;

/** The checks of an exercise in another scene, with what the right program gives there; null where it does not end. */
async function checksIn(
  services: Pick<Services, "toolchains">,
  content: ExerciseContent,
  scene: Scene,
  mended: string,
): Promise<ExerciseCheck[] | null> {
  const checks: ExerciseCheck[] = [];
  for (const check of content.checks) {
    const input = inputInScene(scene, check.input);
    const files = Object.fromEntries(
      Object.entries(check.files).map(([name, text]) => [
        inputInScene(scene, name),
        text === null ? null : inputInScene(scene, text),
      ]),
    );
    const { pieces: _, ...rest } = check;
    if (check.expected === null) {
      checks.push({ ...rest, input, files });
      continue;
    }
    const ran = await runProgram(services.toolchains, runOfText(content, mended, { input, files }));
    if (!ran.outcome?.finished || ran.outcome.inputRanOut) return null;
    const pieces = intendedOf(ran.outcome.console, mended);
    checks.push({ ...rest, input, files, expected: textWithPrompts(pieces), pieces });
  }
  return checks;
}

/**
 * An equal exercise in another scene, for whoever sits beside: the same faults on the same lines, the same tasks and level, as
 * long tables; other names, numbers and outputs. The same for the same seed. Words for a person where there is none.
 */
export async function twinOf(
  services: Pick<Services, "toolchains">,
  content: ExerciseContent,
  seed: number,
): Promise<Remade | string> {
  const { mended, program } = content;
  if (mended === null) return "An equal exercise cannot be made: this one is not mended yet.";
  const language = languageOf(content);
  if (!language.syntax)
    return `An equal exercise cannot be made: programs in ${language.name} are not taken apart here.`;
  let why: string[] = ["nothing in it can be another name or number"];
  for (let tried = 0; tried < mostTried; tried++) {
    const scene = drawScene(language, mended, seed * mostTried + tried, tried < mostTried - 2);
    const right = inScene(language, scene, mended, mended);
    if (right === mended) continue;
    const faulty = inScene(language, scene, program, mended);
    const checks = await checksIn(services, content, scene, right);
    if (!checks) {
      why = ["with other numbers the program does not come to its end"];
      continue;
    }
    const intro = inWordsOf(scene, content.intro);
    const made = await makeAnew(services, content, { program: faulty, mended: right, checks, intro });
    // Most are not equal in their tables, which is known before the longest part of the work.
    why = [...made.reasons, ...inequality(content, made.content)];
    if (why.length === 0) why = await checkedAnew(services, made.content);
    // No line is put in or taken out, so what was said of lines holds.
    if (why.length > 0) continue;
    const placed = made.content.faults.map(({ looks, ...fault }, at) => {
      const faultyLines = content.faults[at]?.faultyLines ?? fault.faultyLines;
      // The way to it is looked for anew only where another line is its end.
      const ends = faultyLines.join() === fault.faultyLines.join();
      return { ...fault, faultyLines, ...(ends && looks ? { looks } : {}) };
    });
    const faults = await withLooks(services, { ...made.content, faults: placed });
    return { ...made, content: { ...made.content, faults } };
  }
  // Some reasons are sentences of their own.
  return `No equal exercise was found: ${(why[0] ?? "").replace(/\.$/, "")}.`;
}
