import { choosablePatterns } from "../../server/casebook/namePatterns.ts";
import type { Route } from "./+types/namesFile.ts";

/** The kinds of mistake that can be chosen, for whoever is about to choose one. */
export async function loader({ context }: Route.LoaderArgs) {
  return { choices: await choosablePatterns(context.services.database.query) };
}
