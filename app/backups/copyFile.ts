import { pathOfCopy } from "../../server/backup/copies.ts";
import type { Route } from "./+types/copyFile.ts";
import { zipAnswer } from "./fileOf.ts";

/** A copy that was made by itself. */
export function loader({ params, context }: Route.LoaderArgs): Response {
  const { folder } = context.services;
  const path = folder === null ? null : pathOfCopy(folder, params.name);
  return path ? zipAnswer(path, params.name) : new Response("There is no such copy.", { status: 404 });
}
