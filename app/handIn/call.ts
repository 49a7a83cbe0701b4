import * as z from "zod";
import { handInSchema } from "../../core/collecting/handIn.ts";
import { findAssignmentByHandIn } from "../../server/assignments/assignmentStore.ts";
import { handIn } from "../../server/collect/handIn.ts";
import { findCourse } from "../../server/people/courseStore.ts";
import { slowing } from "../../server/people/slowGuessing.ts";
import type { Route } from "./+types/call.ts";

const bodySchema = handInSchema.extend({
  program: z
    .string()
    .max(2 * 1024 * 1024)
    .default(""),
});

/** One line for a terminal, or JSON for a program that asks for it. */
function answer(request: Request, status: number, line: string, more: Record<string, unknown> = {}): Response {
  if ((request.headers.get("accept") ?? "").includes("application/json"))
    return Response.json(status < 400 ? { message: line, ...more } : { error: line }, { status });
  return new Response(`${line}\n`, { status, headers: { "Content-Type": "text/plain; charset=utf-8" } });
}

/** Says how to call it. */
export function loader({ request }: Route.LoaderArgs): Response {
  return answer(request, 405, "Send a program here with POST; /api/openapi.json says how.");
}

/**
 * Takes a program from a terminal: a form with the file `program` and the piped `output`, or JSON with both as text.
 */
export async function action({ params, request, context }: Route.ActionArgs): Promise<Response> {
  if (!(await slowing.turn(context.address)))
    return answer(request, 429, "Too many unknown codes were tried from this network. Wait a little and try again.");
  const assignment = await findAssignmentByHandIn(context.services.database, params.code);
  const course = assignment && (await findCourse(context.services.database, assignment.course));
  if (!assignment || !course) {
    slowing.unknown(context.address);
    return answer(request, 404, "There is no course with this code.");
  }
  const isJson = (request.headers.get("content-type") ?? "").includes("json");
  let fields: Record<string, unknown> = {};
  let program = new Uint8Array();
  try {
    if (isJson) fields = z.record(z.string(), z.unknown()).parse(await request.json());
    else
      for (const [name, value] of await request.formData()) {
        if (!(value instanceof File)) fields[name] = value;
        else if (name === "program") {
          program = new Uint8Array(await value.arrayBuffer());
          fields.fileName ??= value.name;
        } else fields[name] = await value.text();
      }
  } catch {
    return answer(
      request,
      400,
      "This is neither a form nor JSON that can be read; /api/openapi.json says how it should look.",
    );
  }
  const given = bodySchema.safeParse(fields);
  if (!given.success)
    return answer(
      request,
      400,
      given.error.issues.map((issue) => `${issue.path.join(".")}: ${issue.message}`).join("; "),
    );
  if (program.length === 0) program = new Uint8Array(Buffer.from(given.data.program, "utf8"));
  const result = await handIn(context.services, { course, assignment }, given.data, program, {
    address: context.address,
    questions: false,
  });
  if (!result.ok) return answer(request, 422, Object.values(result.problems).join(" "));
  const address = `${new URL(request.url).origin}/s/receipt/${result.receipt}`;
  return answer(
    request,
    201,
    `${result.again ? "Handed in again" : "Handed in"}. Your number is ${result.receipt}; see and add to it at ${address}`,
    {
      receipt: result.receipt,
      again: result.again,
      address,
    },
  );
}
