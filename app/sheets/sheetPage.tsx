import { data, Form, Link } from "react-router";
import { totalMarks } from "../../core/exercises/exercise.ts";
import { listExercises } from "../../server/exercises/exerciseStore.ts";
import { levelNow, wordsOfResults } from "../../server/exercises/levelNow.ts";
import { listScenes } from "../../server/sheets/sceneStore.ts";
import { findLastEdition, findSheet, listPlaced } from "../../server/sheets/sheetStore.ts";
import { act } from "../actions.ts";
import { useCourseWords } from "../components/marks.tsx";
import type { Route } from "./+types/sheetPage.ts";
import { sheetActions } from "./actions/list.ts";
import { outForms } from "./outForms.ts";
import { RulesForm } from "./RulesForm.tsx";
import { SheetPlaces } from "./SheetPlaces.tsx";
import { stateWords } from "./stateWords.ts";

export const meta: Route.MetaFunction = () => [{ title: "Sheet · Bent Nail" }];

export async function loader({ params, context }: Route.LoaderArgs) {
  const { database } = context.services;
  const sheet = await findSheet(database, params.sheetKey);
  if (!sheet) throw data("There is no such sheet.", { status: 404 });
  const [placed, exercises, edition] = await Promise.all([
    listPlaced(database, sheet.key),
    listExercises(database),
    findLastEdition(database, sheet.key),
  ]);
  const here = new Set(placed.map((each) => each.key));
  return {
    sheet,
    wording: sheet.wording,
    address: `${context.studentOrigin}/s/${sheet.code}`,
    edition: edition?.number ?? null,
    scenes: edition ? await listScenes(database, edition.key) : [],
    exercises: await Promise.all(
      placed.map(async (each) => {
        const suggested = await levelNow(context.services.database, each.content);
        return {
          ...{
            key: each.key,
            title: each.title,
            level: each.level,
            section: each.section,
            marks: totalMarks(each.content),
          },
          ...{ tasks: each.content.tasks.length, suggested, byResults: wordsOfResults(suggested) },
        };
      }),
    ),
    others: exercises.filter((exercise) => !here.has(exercise.key)).map(({ key, title }) => ({ key, title })),
  };
}

export async function action({ params, request, context }: Route.ActionArgs) {
  const sheet = await findSheet(context.services.database, params.sheetKey);
  if (!sheet) throw data("There is no such sheet.", { status: 404 });
  return act(sheetActions, request, { services: context.services, sheet });
}

export default function SheetPage({ loaderData, actionData }: Route.ComponentProps) {
  const { sheet, address, exercises, others, edition, scenes } = loaderData;
  const inWords = useCourseWords();
  const total = exercises.reduce((sum, exercise) => sum + exercise.marks, 0);
  return (
    <div className="grid gap-5 lg:grid-cols-[minmax(0,1fr)_24rem]">
      <section className="grid content-start gap-3">
        <header>
          <h1>{sheet.title}</h1>
          <p className="note-small">
            {sheet.course_name} · {stateWords[sheet.state]}
            {edition ? `, edition ${edition}` : ""} · {total} marks in all
          </p>
        </header>
        {actionData?.message && actionData.intent !== "rules" && (
          <p role="status" className="font-semibold">
            {actionData.message}
          </p>
        )}
        {exercises.length === 0 ? (
          <p className="leaf p-4">No exercise is on this sheet yet. Choose one below.</p>
        ) : (
          <ol className="leaf divide-y divide-rule">
            {exercises.map((exercise, index) => (
              <li key={exercise.key} className="grid gap-1 px-3 py-2">
                <div className="flex flex-wrap items-baseline gap-3">
                  <strong>{index + 1}.</strong>
                  <Link className="link" to={`/exercises/${exercise.key}`}>
                    {exercise.title}
                  </Link>
                  <span className="note-small">
                    {exercise.tasks} tasks, {exercise.marks} marks
                  </span>
                  <Form method="post" className="ml-auto flex items-baseline gap-1">
                    <input type="hidden" name="exercise" value={exercise.key} />
                    <button
                      className="press press-quiet"
                      name="intent"
                      value="up"
                      type="submit"
                      disabled={index === 0}
                      aria-label={`Move ${exercise.title} up`}
                    >
                      Up
                    </button>
                    <button
                      className="press press-quiet"
                      name="intent"
                      value="down"
                      type="submit"
                      disabled={index === exercises.length - 1}
                      aria-label={`Move ${exercise.title} down`}
                    >
                      Down
                    </button>
                    <button
                      className="press press-quiet"
                      name="intent"
                      value="off"
                      type="submit"
                      aria-label={`Take ${exercise.title} off the sheet`}
                    >
                      Take off
                    </button>
                  </Form>
                </div>
                <Form method="post" className="note-small flex flex-wrap items-center gap-2">
                  <input type="hidden" name="exercise" value={exercise.key} />
                  <label className="font-normal">
                    level{" "}
                    <select
                      name="level"
                      defaultValue={exercise.level ?? 0}
                      className="border border-rule-strong bg-sheet"
                    >
                      <option value={0}>{exercise.suggested.level} (worked out)</option>
                      {[1, 2, 3, 4, 5].map((level) => (
                        <option key={level} value={level}>
                          {level}
                        </option>
                      ))}
                    </select>
                  </label>
                  <label className="font-normal">
                    part{" "}
                    <input
                      name="section"
                      defaultValue={exercise.section}
                      maxLength={80}
                      className="w-40 border border-rule-strong bg-sheet px-1"
                    />
                  </label>
                  <button className="press press-quiet text-sm" name="intent" value="level" type="submit">
                    Keep
                  </button>
                  <span>{exercise.suggested.reasons.map((reason) => inWords(reason.words)).join("; ")}</span>
                </Form>
              </li>
            ))}
          </ol>
        )}
        {others.length > 0 && (
          <Form method="post" className="flex items-end gap-3">
            <label>
              Put on the sheet
              <select name="exercise" className="field">
                {others.map((exercise) => (
                  <option key={exercise.key} value={exercise.key}>
                    {exercise.title}
                  </option>
                ))}
              </select>
            </label>
            <button className="press" name="intent" value="on" type="submit">
              Put it on
            </button>
          </Form>
        )}
      </section>
      <aside className="grid content-start gap-4">
        <Form method="post" className="leaf grid gap-2 p-3">
          <h2>For students</h2>
          {sheet.state === "draft" ? (
            <p className="note-small">Setting the sheet freezes it as it is now. Later edits make a new edition.</p>
          ) : (
            <>
              <p>
                Address{" "}
                <a className="link break-all" href={address}>
                  {address}
                </a>
              </p>
              <p>
                Sheet code <strong className="font-mono">{sheet.code}</strong>
              </p>
            </>
          )}
          {actionData?.problems?.names && (
            <div role="alert" className="border-l-4 border-ochre bg-slip px-3 py-2">
              <p>{actionData.problems.names}</p>
              <label className="font-normal">
                <input type="checkbox" name="noNames" /> these words name nobody: set it all the same
              </label>
            </div>
          )}
          <div className="flex flex-wrap gap-2">
            {sheet.state === "draft" && (
              <button className="press press-main" name="intent" value="set" type="submit">
                Set it for students
              </button>
            )}
            {sheet.state === "set" && (
              <button className="press" name="intent" value="close" type="submit">
                Close it
              </button>
            )}
            {sheet.state === "closed" && (
              <button className="press" name="intent" value="open" type="submit">
                Open it again
              </button>
            )}
            {sheet.state !== "draft" && !sheet.released_at && (
              <button className="press press-main" name="intent" value="release" type="submit">
                Release marks
              </button>
            )}
            {sheet.released_at && (
              <button className="press" name="intent" value="hold back" type="submit">
                Hold marks back
              </button>
            )}
            {sheet.state !== "draft" && (
              <button className="press press-quiet" name="intent" value="set" type="submit">
                Set a new edition
              </button>
            )}
          </div>
          {sheet.state !== "draft" && <SheetPlaces sheet={sheet.key} here="" />}
        </Form>
        <RulesForm
          rules={sheet.rules}
          isSet={sheet.state !== "draft"}
          scenes={scenes.length}
          said={actionData?.intent === "rules" ? actionData.message : ""}
        />
        <section className="leaf grid gap-1 p-3">
          <h2>On paper</h2>
          <Link className="link" to={`/print/sheets/${sheet.key}`}>
            The sheet
          </Link>
          <Link className="link" to={`/print/sheets/${sheet.key}/scheme`}>
            The mark scheme
          </Link>
          {scenes.map((scene) => (
            <span key={scene}>
              With other names and numbers {scene}:{" "}
              <Link className="link" to={`/print/sheets/${sheet.key}?scene=${scene}`}>
                sheet
              </Link>
              ,{" "}
              <Link className="link" to={`/print/sheets/${sheet.key}/scheme?scene=${scene}`}>
                scheme
              </Link>
            </span>
          ))}
          {edition !== null &&
            Array.from({ length: edition - 1 }, (_, index) => index + 1).map((number) => (
              <Link key={number} className="link" to={`/print/sheets/${sheet.key}/scheme?edition=${number}`}>
                The mark scheme of edition {number}
              </Link>
            ))}
          <Link className="link" to={`/print/sheets/${sheet.key}/slips`}>
            Slips with personal codes
          </Link>
          <Link className="link" to={`/print/sheets/${sheet.key}/examples`}>
            Which kind of error? To class together
          </Link>
          <Link className="link" to={`/print/sheets/${sheet.key}/recap`}>
            A recap card
          </Link>
        </section>
        <section className="leaf grid gap-1 p-3">
          <h2>As a file</h2>
          {outForms.map(({ name, words }) => (
            <a key={name} className="link" href={`/sheets/${sheet.key}/out/${name}`} download={name}>
              {words}
            </a>
          ))}
        </section>
      </aside>
    </div>
  );
}
