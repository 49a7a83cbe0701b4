import { oneSignApart } from "../../core/lessons/oneSign.ts";
import { labPart, labSchema } from "../../core/lessons/parts/labPart.ts";
import { lineTexts } from "../../core/source/lines.ts";
import { findExercise } from "../../server/exercises/exerciseStore.ts";
import { tryChange } from "../../server/lessons/lab.ts";
import { findOpenLesson } from "../../server/lessons/lessonStore.ts";
import { createAttempts } from "../../server/people/attempts.ts";
import { slowing } from "../../server/people/slowGuessing.ts";
import { slowGuessing } from "../unknownAddress.ts";
import type { Route } from "./+types/lab.ts";
import { type LabReply, labRequestSchema } from "./labReply.ts";

/** Runs that one address may ask for in a minute; a room behind one address shares them. */
const runs = createAttempts(240, 60_000);

/** Runs the right program of a lesson's lab with one sign of it changed. */
export async function action({ params, request, context }: Route.ActionArgs): Promise<LabReply> {
  const refused = (message: string): LabReply => ({ ok: false, message });
  const { services, address } = context;
  await slowGuessing(address);
  const lesson = await findOpenLesson(services.database, params.code);
  if (!lesson) {
    slowing.unknown(address);
    return refused("This lesson is not open any more.");
  }
  const given = labRequestSchema.safeParse(await request.json().catch(() => null));
  if (!given.success) return refused("This could not be read.");
  const part = lesson.content.parts.find(
    ({ key, kind, out }) => key === given.data.part && kind === labPart.kind && !out,
  );
  const lab = labSchema.safeParse(part?.content);
  const exercise = lab.success ? await findExercise(services.database, lab.data.exercise) : null;
  const right = exercise?.content.mended ?? null;
  if (!exercise || right === null) return refused("The program of this part is not there any more.");
  const { text } = given.data;
  const sign = oneSignApart(right, text);
  if (!sign)
    return refused(
      text === right
        ? "Nothing is changed yet. Change one sign of the line."
        : "That is more than one sign. Each change begins with the right program: change one sign of it.",
    );
  if (!runs.allowed(address)) return refused("That was a lot in a short time. Wait a minute and go on.");
  const came = await tryChange(services, exercise.content, text, lesson.endless_class);
  if (typeof came === "string") return refused(came);
  const [before = "", after = ""] = [right, text].map((each) => lineTexts(each)[sign.line - 1]);
  return { ok: true, came, line: sign.line, before, after };
}
