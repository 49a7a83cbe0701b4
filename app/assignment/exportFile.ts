import { writeAssignmentFile } from "../../core/formats/assignmentFile.ts";
import { writeCheckFiles } from "../../core/formats/checkFiles.ts";
import { findAssignment } from "../../server/assignments/assignmentStore.ts";
import { zipOf } from "../../server/classwork/checkZip.ts";
import { contentOf } from "../../server/classwork/exchange.ts";
import type { Route } from "./+types/exportFile.ts";

/** An assignment as a file to keep or pass on: assignment.json, or its checks as NAME.in with NAME.out in a zip. */
export async function loader({ params, context }: Route.LoaderArgs): Promise<Response> {
  const assignment = await findAssignment(context.services.database, params.assignmentKey);
  if (!assignment) return new Response("There is no such assignment.", { status: 404 });
  const content = await contentOf(context.services.database, assignment);
  if (params.file === "checks.zip")
    return new Response(new Uint8Array(await zipOf(writeCheckFiles(content.checks))), {
      headers: { "Content-Type": "application/zip", "Content-Disposition": 'attachment; filename="checks.zip"' },
    });
  if (params.file !== "assignment.json") return new Response("There is no such file.", { status: 404 });
  return new Response(writeAssignmentFile(content), {
    headers: {
      "Content-Type": "application/json; charset=utf-8",
      "Content-Disposition": 'attachment; filename="assignment.json"',
    },
  });
}
