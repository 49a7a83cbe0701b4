import { data } from "react-router";
import { findAssignment } from "../../server/assignments/assignmentStore.ts";
import { topMistakes } from "../../server/casebook/topMistakes.ts";
import type { Route } from "./+types/mistakesFile.ts";

/** What the programs of an assignment get wrong most. */
export async function loader({ params, context }: Route.LoaderArgs) {
  const { database } = context.services;
  const assignment = await findAssignment(database, params.assignmentKey);
  if (!assignment) throw data("There is no such assignment.", { status: 404 });
  return { mistakes: await topMistakes(database, { assignment: assignment.key }, assignment.course) };
}
