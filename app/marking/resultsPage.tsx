import { data, Form, Link } from "react-router";
import { faultClassSchema } from "../../core/cases/case.ts";
import { type Confusion, missedExercises, sheetResults } from "../../server/results/sheetResults.ts";
import { findSheet } from "../../server/sheets/sheetStore.ts";
import { act } from "../actions.ts";
import { ClassMark, useClassWords } from "../components/marks.tsx";
import { SheetPlaces } from "../sheets/SheetPlaces.tsx";
import { partsOf } from "../tasks/list.ts";
import type { Route } from "./+types/resultsPage.ts";
import { sheetOfMissed } from "./actions/again.ts";

export const meta: Route.MetaFunction = () => [{ title: "Results · Bent Nail" }];

export async function loader({ params, context }: Route.LoaderArgs) {
  const sheet = await findSheet(context.services.database, params.sheetKey);
  if (!sheet) throw data("There is no such sheet.", { status: 404 });
  const results = await sheetResults(context.services, sheet);
  const missed = results ? missedExercises(results).map(({ key }) => key) : [];
  return { sheet: { key: sheet.key, title: sheet.title }, wording: sheet.wording, results, missed };
}

export async function action({ params, request, context }: Route.ActionArgs) {
  const sheet = await findSheet(context.services.database, params.sheetKey);
  if (!sheet) throw data("There is no such sheet.", { status: 404 });
  return act([sheetOfMissed], request, { services: context.services, sheet });
}

const inPercent = (share: number | null) => (share === null ? "" : `${Math.round(share * 100)} %`);

export default function Results({ loaderData, actionData }: Route.ComponentProps) {
  const { sheet, results, missed } = loaderData;
  return (
    <div className="grid gap-4">
      <header className="flex flex-wrap items-baseline gap-4">
        <h1>Results: {sheet.title}</h1>
        {results && (
          <span className="note-small">
            {results.handedIn} {results.handedIn === 1 ? "student" : "students"}, by the last try of each; edition{" "}
            {results.edition}
          </span>
        )}
        <span className="ml-auto">
          <SheetPlaces sheet={sheet.key} here="/results" />
        </span>
      </header>
      {actionData?.message && (
        <p role="alert" className="font-semibold">
          {actionData.message}
        </p>
      )}
      {!results ? (
        <p className="leaf p-4">
          Nobody has handed this sheet in yet. Then it is shown here how each task came out, what was often wrong, and
          which kind of error was taken for which.
        </p>
      ) : (
        <div className="grid items-start gap-4 lg:grid-cols-[minmax(0,1fr)_24rem]">
          <section className="leaf overflow-x-auto" aria-label="Every task" tabIndex={0}>
            <table className="w-full">
              <thead>
                <tr className="border-b-2 border-rule-strong text-left">
                  {["Task", "Answered", "Earned", "Given, and not all right"].map((title) => (
                    <th key={title} scope="col" className="px-3 py-1">
                      {title}
                    </th>
                  ))}
                </tr>
              </thead>
              {results.exercises.map((exercise, index) => (
                <tbody key={exercise.key}>
                  <tr className="border-b border-rule bg-leaf">
                    <th scope="rowgroup" colSpan={2} className="px-3 py-1 text-left">
                      {index + 1}. {exercise.title}
                    </th>
                    <td className="px-3 py-1 font-semibold whitespace-nowrap">{inPercent(exercise.share)}</td>
                    <td className="px-3 py-1">
                      {missed.includes(exercise.key) && <span className="note-small">worth another look</span>}
                    </td>
                  </tr>
                  {exercise.tasks.map((task) => (
                    <tr key={task.key} className="border-b border-rule align-baseline">
                      <td className="px-3 py-1">
                        <Link className="link" to={`/sheets/${sheet.key}/answers/${task.key}`}>
                          {task.title}
                        </Link>
                      </td>
                      <td className="px-3 py-1">{task.answered}</td>
                      <td className="px-3 py-1 whitespace-nowrap">{inPercent(task.share)}</td>
                      <td className="px-3 py-1 text-sm">
                        {task.wrong.map((answer, at) => (
                          <details key={at}>
                            <summary className="cursor-pointer">
                              {answer.students === 1 ? "one student" : `${answer.students} students`}, {answer.earned}{" "}
                              of {answer.possible}
                            </summary>
                            <AnswerShown kind={task.kind} compared={answer.compared} />
                          </details>
                        ))}
                      </td>
                    </tr>
                  ))}
                </tbody>
              ))}
            </table>
          </section>
          <div className="grid gap-4">
            <Confusions confusions={results.confusions} />
            {results.teach.length > 0 && (
              <section className="leaf grid gap-2 p-3" aria-labelledby="teach">
                <h2 id="teach" className="text-base">
                  What to teach next
                </h2>
                <ol className="grid gap-1">
                  {results.teach.map(({ id, name, share, exercises }) => (
                    <li key={id}>
                      <Link className="link" to={`/patterns/${id}`}>
                        {name}
                      </Link>{" "}
                      <span className="note-small">
                        {inPercent(share)} in {exercises.map((title) => `“${title}”`).join(", ")} ·{" "}
                        <Link className="link" to={`/print/patterns/${id}`}>
                          card
                        </Link>
                      </span>
                    </li>
                  ))}
                </ol>
                <p className="note-small">
                  <Link className="link" to="/lessons">
                    Begin a lesson
                  </Link>{" "}
                  with the sheet of what was missed.
                </p>
              </section>
            )}
            <section className="leaf grid gap-2 p-3" aria-labelledby="next">
              <h2 id="next" className="text-base">
                What to take up again
              </h2>
              {missed.length === 0 ? (
                <p>Every exercise earned the class most of its marks.</p>
              ) : (
                <>
                  <ol className="grid gap-1">
                    {results.exercises
                      .filter(({ key }) => missed.includes(key))
                      .sort((one, other) => missed.indexOf(one.key) - missed.indexOf(other.key))
                      .map((exercise) => (
                        <li key={exercise.key} className="flex flex-wrap items-center gap-x-2">
                          {exercise.class && <ClassMark of={exercise.class} />}
                          <Link className="link" to={`/exercises/${exercise.key}`}>
                            {exercise.title}
                          </Link>
                          <span className="note-small">{inPercent(exercise.share)}</span>
                        </li>
                      ))}
                  </ol>
                  <Form method="post">
                    <button className="press press-main" type="submit" name="intent" value="missed">
                      Make a sheet of these
                    </button>
                  </Form>
                  <p className="note-small">
                    It is not set yet. On an exercise’s page, “Make an equal one in another scene” gives the same fault
                    in other clothes.
                  </p>
                </>
              )}
            </section>
          </div>
        </div>
      )}
    </div>
  );
}

function AnswerShown({ kind, compared }: { kind: string; compared: unknown }) {
  const { Answer } = partsOf(kind);
  return <Answer compared={compared} />;
}

/** Which class faults of each class were taken for. */
function Confusions({ confusions }: { confusions: readonly Confusion[] }) {
  const classWords = useClassWords();
  if (confusions.length === 0) return null;
  const classes = faultClassSchema.options;
  const count = (right: string, given: string) =>
    confusions.find((each) => each.right === right && each.given === given)?.students ?? 0;
  return (
    <section className="leaf overflow-x-auto p-3" aria-labelledby="taken" tabIndex={0}>
      <h2 id="taken" className="text-base">
        Which kind was taken for which
      </h2>
      <table className="mt-1 w-full">
        <thead>
          <tr className="border-b-2 border-rule-strong text-left text-sm">
            <th scope="col" className="py-1 pr-2">
              It was
            </th>
            {classes.map((given) => (
              <th key={given} scope="col" className="px-2 py-1 font-normal">
                taken for {classWords(given)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {classes.map((right) => (
            <tr key={right} className="border-b border-rule">
              <th scope="row" className="py-1 pr-2 text-left font-normal">
                <ClassMark of={right} />
              </th>
              {classes.map((given) => (
                <td key={given} className={`px-2 py-1 ${right === given ? "text-graphite" : "font-semibold"}`}>
                  {count(right, given) || ""}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
