import { data, Form, Link } from "react-router";
import { proposeNames } from "../../core/exercises/names.ts";
import { taskGroups } from "../../core/exercises/taskKinds.ts";
import { refusedSymptom } from "../../core/verdict/verdict.ts";
import { findCase, startVersion, versionOf } from "../../server/cases/caseStore.ts";
import type { Database } from "../../server/database/database.ts";
import { languageOf } from "../../server/judge/judge.ts";
import { listStudents } from "../../server/people/courseStore.ts";
import { act } from "../actions.ts";
import { Script } from "../components/Script.tsx";
import { KindGroups } from "../tasks/KindGroups.tsx";
import type { Route } from "./+types/makePage.ts";
import { make } from "./actions/make.ts";

export const meta: Route.MetaFunction = () => [{ title: "Make an exercise · Bent Nail" }];

async function loadCase(database: Database, key: string) {
  const found = await findCase(database, key, "all");
  if (!found) throw data("There is no such case.", { status: 404 });
  const labels = found.course
    ? (await listStudents(database, found.course, "all")).map((student) => student.label)
    : [];
  return { found, labels };
}

export async function loader({ params, context }: Route.LoaderArgs) {
  const { found, labels } = await loadCase(context.services.database, params.caseKey);
  const start = startVersion(found);
  const main = start && versionOf(found, start.key).files[0];
  const language = languageOf(found);
  const mended = found.layers.length > 0 && found.layers.every((layer) => layer.version_after !== null);
  const faults = Math.max(1, found.layers.filter((layer) => layer.version_after !== null).length);
  return {
    key: found.key,
    title: found.title,
    wording: found.wording,
    intent: found.intent,
    proposals: proposeNames(language, [main?.text ?? "", found.intent].join("\n"), main?.name ?? "", labels),
    lines: (main?.text ?? "").split(/\r\n|\n|\r/),
    mended,
    judged: found.judged_at !== null || mended,
    /**
     * The program does not start: output and table can only be asked of the mended one, which gives the mending away.
     */
    showsMended: found.layers[0]?.verdict.symptom === refusedSymptom,
    groups: taskGroups.map(({ title, kinds }) => ({
      title,
      kinds: kinds.map((kind) => ({
        ...{ kind: kind.kind, title: kind.title, needsRun: kind.needsRun },
        marks: kind.usualMarks({ faults, mended }),
      })),
    })),
  };
}

export async function action({ params, request, context }: Route.ActionArgs) {
  const { found } = await loadCase(context.services.database, params.caseKey);
  return act([make], request, { services: context.services, found });
}

export default function ExerciseFromCase({ loaderData: view, actionData }: Route.ComponentProps) {
  return (
    <Form method="post" className="grid gap-5 lg:grid-cols-[minmax(0,1fr)_minmax(0,30rem)]">
      <div className="grid content-start gap-4">
        <h1>Make an exercise from “{view.title}”</h1>
        {!view.judged && (
          <p className="border-l-4 border-ochre pl-3">
            This case has no verdict yet.{" "}
            <Link className="link" to={`/cases/${view.key}`}>
              Judge it first
            </Link>
            , so that the kind and place of its fault can be asked.
          </p>
        )}
        <div>
          <label htmlFor="title">Title, as students see it</label>
          <input id="title" name="title" className="field" defaultValue={view.title} required />
          {actionData?.problems?.title && <p role="alert">{actionData.problems.title}</p>}
        </div>
        <div>
          <label htmlFor="intro">What the program should do</label>
          <textarea id="intro" name="intro" className="field" rows={3} defaultValue={view.intent} />
        </div>
        <fieldset>
          <legend>Tasks and their marks</legend>
          <KindGroups
            groups={view.groups}
            row={(kind) => (
              <div className="flex items-center gap-3">
                <label className="flex-1 font-normal">
                  <input
                    type="checkbox"
                    name={`with ${kind.kind}`}
                    defaultChecked={kind.marks > 0 && !(view.showsMended && kind.needsRun)}
                  />{" "}
                  {kind.title}
                </label>
                <label className="note-small">
                  marks{" "}
                  <input
                    type="number"
                    min={0}
                    max={100}
                    name={`marks ${kind.kind}`}
                    defaultValue={kind.marks || 2}
                    className="field ml-1 inline-block w-20"
                  />
                </label>
              </div>
            )}
          />
          {view.showsMended && (
            <p className="note-small mt-1">
              This program does not start as it was handed in, so output and trace table are asked of the mended
              program. Students see it then, and with it how to mend: ask either those or the mending.
            </p>
          )}
          {!view.mended && <p className="note-small mt-1">Mending can be asked once the case is mended.</p>}
        </fieldset>
        <fieldset className="grid gap-1">
          <legend>What students see of its runs</legend>
          <label className="font-normal">
            <input type="checkbox" name="show outputs" /> what it prints, for each check
          </label>
          <label className="font-normal">
            <input type="checkbox" name="show errors" /> its error output
          </label>
        </fieldset>
        <fieldset>
          <legend>Names to be taken out</legend>
          {view.proposals.length === 0 ? (
            <p className="note-small">No label of the course and no name-like word was found.</p>
          ) : (
            <ul className="leaf mt-1 divide-y divide-rule">
              {view.proposals.map((proposal) => (
                <li key={proposal.word} className="flex flex-wrap items-center gap-3 px-3 py-1.5">
                  <label className="min-w-40 flex-1 font-normal">
                    <input type="checkbox" name="name" value={proposal.word} defaultChecked={proposal.ticked} />{" "}
                    {proposal.word} <span className="note-small">{proposal.places.slice(0, 3).join(", ")}</span>
                  </label>
                  <label className="note-small">
                    becomes{" "}
                    <input
                      name={`replacement ${proposal.word}`}
                      defaultValue={proposal.replacement}
                      className="field ml-1 inline-block w-32"
                    />
                  </label>
                </li>
              ))}
            </ul>
          )}
          <label className="mt-2 block text-sm">
            More words to take out, comma between
            <input name="more" className="field" />
          </label>
        </fieldset>
        {actionData?.message && (
          <p role="alert" className="font-semibold">
            {actionData.message}
          </p>
        )}
        <div>
          <button className="press press-main" type="submit" name="intent" value="make">
            Make the exercise
          </button>
          <p className="note-small mt-1">The changed program is run, and all keys come from that run.</p>
        </div>
      </div>
      <section className="leaf self-start py-3" aria-label="The program">
        <Script lines={view.lines} label="The program as handed in" />
      </section>
    </Form>
  );
}
