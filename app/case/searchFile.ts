import { data } from "react-router";
import { findCase } from "../../server/cases/caseStore.ts";
import type { Route } from "./+types/searchFile.ts";
import { searchView } from "./searchView.ts";

/** What was found for the current version of a case, for its page, which asks again while the looking goes on. */
export async function loader({ params, context }: Route.LoaderArgs) {
  const found = await findCase(context.services.database, params.caseKey);
  if (!found) throw data("There is no such case.", { status: 404 });
  return searchView(context.services, found);
}
