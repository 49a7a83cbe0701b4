import { csvOf } from "../../core/formats/csv.ts";
import { questions } from "../../server/casebook/questions.ts";
import { filterOf } from "../../server/cases/filterChoices.ts";
import type { Route } from "./+types/answerFile.ts";

/** The answer to a question of the Casebook as comma-separated values. */
export async function loader({ request, context }: Route.LoaderArgs): Promise<Response> {
  const query = new URL(request.url).searchParams;
  const asked = questions.find(({ id }) => id === query.get("ask"));
  if (!asked) return new Response("There is no such question.", { status: 404 });
  const { columns, rows } = await asked.answer(context.services.database, filterOf(query));
  return new Response(csvOf([columns, ...rows.map(({ cells }) => cells.map(String))]), {
    headers: {
      "Content-Type": "text/csv; charset=utf-8",
      "Content-Disposition": `attachment; filename="${asked.id}.csv"`,
    },
  });
}
