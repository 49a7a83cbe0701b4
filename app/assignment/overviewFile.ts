import { overviewCsv } from "../../core/formats/overviewCsv.ts";
import { findAssignment } from "../../server/assignments/assignmentStore.ts";
import { listCells } from "../../server/classwork/judgedStore.ts";
import { overviewOf } from "../../server/classwork/overview.ts";
import type { Route } from "./+types/overviewFile.ts";

/** The overview of an assignment as comma-separated values. */
export async function loader({ params, context }: Route.LoaderArgs): Promise<Response> {
  const assignment = await findAssignment(context.services.database, params.assignmentKey);
  if (!assignment) return new Response("There is no such assignment.", { status: 404 });
  const [overview, cells] = await Promise.all([
    overviewOf(context.services, assignment),
    listCells(context.services.database, assignment.key),
  ]);
  const programs = overview.programs.map((program) => ({
    ...program,
    cells: program.cells.map((glance) => {
      const whole = cells.get(program.version)?.find((cell) => cell.check === glance?.check);
      return glance && { result: glance.result, firstDifference: whole?.firstDifference };
    }),
  }));
  const text = overviewCsv({ columns: overview.columns, programs });
  return new Response(text, {
    headers: {
      "Content-Type": "text/csv; charset=utf-8",
      "Content-Disposition": 'attachment; filename="overview.csv"',
    },
  });
}
