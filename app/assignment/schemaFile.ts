import { assignmentJsonSchema } from "../../core/formats/assignmentFile.ts";

/** The JSON Schema of assignment.json, for whoever writes such files. */
export function loader(): Response {
  return Response.json(assignmentJsonSchema(), { headers: { "Content-Type": "application/schema+json" } });
}
