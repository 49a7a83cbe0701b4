import { data } from "react-router";
import { findCase, versionOf, type WholeCase } from "../../server/cases/caseStore.ts";
import { recordVersion } from "../../server/judge/judge.ts";
import type { Services } from "../../server/services.ts";

type Recording = {
  found: WholeCase;
  /** The text of the version's main file; "" where there is no such version. */
  text: string;
  trace: Awaited<ReturnType<typeof recordVersion>> | null;
  query: URLSearchParams;
};

/** The recorded run that an address of a case asks for by `version` and `check`. Throws the answer where there is no such case. */
export async function recordingAsked(services: Services, caseKey: string, url: string): Promise<Recording> {
  const found = await findCase(services.database, caseKey, "all");
  if (!found) throw data("There is no such case.", { status: 404 });
  const query = new URL(url).searchParams;
  const version = found.loaded.find((each) => each.key === query.get("version"));
  const check = found.checks.find((each) => each.key === query.get("check"));
  const trace = version && check ? await recordVersion(services, found, versionOf(found, version.key), check) : null;
  return { found, text: version?.files[0]?.text ?? "", trace, query };
}
