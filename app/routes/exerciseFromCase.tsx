import { data, Form, Link, redirect } from "react-router";
import { proposeNames, replaceNames } from "../../core/exercises/names.ts";
import { taskKinds } from "../../core/exercises/taskKinds.ts";
import { languageOf } from "../../server/casework.ts";
import { makeExercise } from "../../server/exercises.ts";
import { services } from "../../server/services.ts";
import { findCase, startVersion } from "../../server/stores/cases.ts";
import { listStudents } from "../../server/stores/courses.ts";
import { addExercise } from "../../server/stores/exercises.ts";
import { Script } from "../components/Script.tsx";
import { formText, readForm, wholeNumber } from "../formText.ts";
import type { Route } from "./+types/exerciseFromCase.ts";

export const meta: Route.MetaFunction = () => [{ title: "Make an exercise · Bent Nail" }];

/** Marks proposed for each kind of task; a mend task gets two for each fault. */
const usualMarks: Record<string, number> = { classify: 2, point: 1, predict: 3, trace: 6, mend: 2 };

/** Kinds of task that need a program that starts. */
const asksOfRun: ReadonlySet<string> = new Set(["predict", "trace"]);

async function loadCase(key: string) {
  const found = await findCase(services().database, key);
  if (!found) throw data("There is no such case.", { status: 404 });
  const labels = found.course ? (await listStudents(services().database, found.course)).map((student) => student.label) : [];
  return { found, labels };
}

export async function loader({ params }: Route.LoaderArgs) {
  const { found, labels } = await loadCase(params.caseKey);
  const main = startVersion(found)?.files[0];
  const language = languageOf(found);
  const mended = found.layers.length > 0 && found.layers.every((layer) => layer.version_after !== null);
  const faults = Math.max(1, found.layers.filter((layer) => layer.version_after !== null).length);
  return {
    key: found.key,
    title: found.title,
    intent: found.intent,
    proposals: proposeNames(language, [main?.text ?? "", found.intent].join("\n"), main?.name ?? "", labels),
    lines: (main?.text ?? "").split(/\r\n|\n|\r/),
    mended,
    judged: found.judged_at !== null || mended,
    /** The program does not start: output and table can only be asked of the mended one, which gives the mending away. */
    showsMended: found.layers[0] !== undefined && (found.layers[0].decided?.class ?? found.layers[0].verdict.class) === "syntax",
    kinds: taskKinds.map((kind) => ({
      kind: kind.kind,
      title: kind.title,
      marks: kind.kind === "mend" ? (mended ? 2 * faults : 0) : kind.kind === "point" ? faults : (usualMarks[kind.kind] ?? 1),
    })),
  };
}

export async function action({ params, request }: Route.ActionArgs) {
  const { found } = await loadCase(params.caseKey);
  const form = await readForm(request);
  const ticked = new Set(form.getAll("name").map(String));
  const replacements = [...ticked].map((word) => ({ word, replacement: formText(form, `replacement ${word}`).trim() || "Person" }));
  const more = formText(form, "more")
    .split(/[\n,;]/)
    .map((word) => word.trim())
    .filter((word) => word !== "");
  for (const [index, word] of more.entries()) replacements.push({ word, replacement: `Person${String.fromCharCode(80 + (index % 10))}` });
  const marks = Object.fromEntries(
    taskKinds.map((kind) => [
      kind.kind,
      form.get(`with ${kind.kind}`) === null ? 0 : wholeNumber(form.get(`marks ${kind.kind}`), { from: 0, to: 100, otherwise: 0 }),
    ]),
  );
  if (Object.values(marks).every((mark) => mark === 0)) return { message: "Tick at least one task and give it a mark." };
  const made = await makeExercise(services(), found, { title: formText(form, "title"), intro: formText(form, "intro"), replacements, marks });
  if (made.content.tasks.length === 0) return { message: made.surprises.join(" ") };
  const key = await addExercise(services().database, found.key, replaceNames(formText(form, "title"), replacements), made.content);
  return redirect(`/exercises/${key}${made.surprises.length > 0 ? `?${new URLSearchParams(made.surprises.map((surprise) => ["surprise", surprise]))}` : ""}`);
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
        </div>
        <div>
          <label htmlFor="intro">What the program should do</label>
          <textarea id="intro" name="intro" className="field" rows={3} defaultValue={view.intent} />
        </div>
        <fieldset>
          <legend>Tasks and their marks</legend>
          <ul className="leaf mt-1 divide-y divide-rule">
            {view.kinds.map((kind) => (
              <li key={kind.kind} className="flex items-center gap-3 px-3 py-1.5">
                <label className="flex-1 font-normal">
                  <input type="checkbox" name={`with ${kind.kind}`} defaultChecked={kind.marks > 0 && !(view.showsMended && asksOfRun.has(kind.kind))} />{" "}
                  {kind.title}
                </label>
                <label className="note-small">
                  marks{" "}
                  <input type="number" min={0} max={100} name={`marks ${kind.kind}`} defaultValue={kind.marks || 2} className="field ml-1 inline-block w-20" />
                </label>
              </li>
            ))}
          </ul>
          {view.showsMended && (
            <p className="note-small mt-1">
              This program does not start as it was handed in, so output and trace table are asked of the mended program. Students see it then, and with it how
              to mend: ask either those or the mending.
            </p>
          )}
          {!view.mended && <p className="note-small mt-1">Mending can be asked once the case is mended.</p>}
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
                    <input type="checkbox" name="name" value={proposal.word} defaultChecked={proposal.ticked} /> {proposal.word}{" "}
                    <span className="note-small">{proposal.places.slice(0, 3).join(", ")}</span>
                  </label>
                  <label className="note-small">
                    becomes <input name={`replacement ${proposal.word}`} defaultValue={proposal.replacement} className="field ml-1 inline-block w-32" />
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
        {actionData && (
          <p role="alert" className="font-semibold">
            {actionData.message}
          </p>
        )}
        <div>
          <button className="press press-main" type="submit">
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
