import { redirect } from "react-router";
import { findWalk, readWalkPlace } from "../../server/cases/walkStore.ts";
import { walkAddress, walkHome } from "../case/walkAddress.ts";
import type { Route } from "./+types/begin.ts";

/** Goes to the first case that is left where somebody begins to work through several; back where none is. */
export async function loader({ request, context }: Route.LoaderArgs) {
  const through = new URL(request.url).searchParams.get("through") ?? "";
  const place = readWalkPlace(through);
  const walk = place && (await findWalk(context.services.database, place, null));
  return redirect(walk?.next ? walkAddress(walk.next, through) : walkHome(through));
}
