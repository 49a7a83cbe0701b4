import { data } from "react-router";
import { proposeNames, replaceNames } from "../../core/exercises/names.ts";
import { findCase } from "../../server/cases/caseStore.ts";
import { contentOfCase } from "../../server/exercises/makeExercise.ts";
import { languageOf } from "../../server/judge/judge.ts";
import { listStudents } from "../../server/people/courseStore.ts";
import type { Route } from "./+types/casePage.ts";
import { Present } from "./Present.tsx";
import { presentation } from "./presentation.ts";

export const meta: Route.MetaFunction = () => [{ title: "Presentation" }];

/** A case before a class: as it was handed in, without the names of students. */
export async function loader({ params, context }: Route.LoaderArgs) {
  const { services } = context;
  const found = await findCase(services.database, params.caseKey, "all");
  if (!found) throw data("There is no such case.", { status: 404 });
  const labels = found.course
    ? (await listStudents(services.database, found.course, "all")).map(({ label }) => label)
    : [];
  const [main] = found.loaded.find(({ number }) => number === 1)?.files ?? [];
  const names = proposeNames(languageOf(found), main?.text ?? "", main?.name ?? "", labels);
  const replacements = names.filter(({ ticked }) => ticked);
  const content = await contentOfCase(services, found, { replacements, intro: found.intent });
  const given = { title: replaceNames(found.title, replacements), back: `/cases/${found.key}` };
  return { wording: found.wording, ...(await presentation(services, content, given)) };
}

export default function PresentCase({ loaderData }: Route.ComponentProps) {
  return <Present view={loaderData} />;
}
