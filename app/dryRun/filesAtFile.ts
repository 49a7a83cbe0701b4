import { versionOf } from "../../server/cases/caseStore.ts";
import type { Route } from "./+types/filesAtFile.ts";
import { type FilesAt, filesAtStep } from "./changedRun.ts";
import { recordingAsked } from "./recordingAsked.ts";

/** Runs up to a step once more, and tells what lies beside the program there. */
export async function loader({ params, request, context }: Route.LoaderArgs): Promise<FilesAt> {
  const { found, trace, query } = await recordingAsked(context.services, params.caseKey, request.url);
  const check = found.checks.find((each) => each.key === query.get("check"));
  if (!trace || !check) return { files: [], why: "There is no recorded run." };
  const version = versionOf(found, query.get("version") ?? "");
  const told = await filesAtStep(context.services, found, { version, check, trace }, Number(query.get("step") ?? ""));
  return typeof told === "string" ? { files: [], why: told } : { files: told, why: "" };
}
