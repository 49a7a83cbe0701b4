import { Form, Link, useNavigation } from "react-router";
import { taskGroups } from "../../core/exercises/taskKinds.ts";
import { languages } from "../../core/languages/languages.ts";
import { patterns } from "../../core/patterns/patterns.ts";
import { listAssignmentsWithModels } from "../../server/assignments/modelStore.ts";
import { listPlans } from "../../server/exercises/planStore.ts";
import { act } from "../actions.ts";
import { useClassWords } from "../components/marks.tsx";
import { KindGroups } from "../tasks/KindGroups.tsx";
import type { Route } from "./+types/newPage.ts";
import { plan, planOfClass, planOfPattern } from "./actions/plan.ts";

export const meta: Route.MetaFunction = () => [{ title: "Plan exercises · Bent Nail" }];

/** Marks that are proposed for planted exercises, where a kind has none of its own. */
const usual: Readonly<Record<string, number>> = { classify: 2, point: 1, mend: 2 };

export async function loader({ request, context }: Route.LoaderArgs) {
  const [assignments, plans] = await Promise.all([
    listAssignmentsWithModels(context.services.database),
    listPlans(context.services.database),
  ]);
  return {
    assignments,
    plans,
    assignment: new URL(request.url).searchParams.get("assignment") ?? "",
    languages: languages
      .filter((language) => language.runs !== false && language.syntax)
      .map(({ id, name }) => ({ id, name })),
    groups: taskGroups.map(({ title, kinds }) => ({
      title,
      kinds: kinds.map((each) => ({ kind: each.kind, title: each.title, marks: usual[each.kind] ?? 0 })),
    })),
    patterns: patterns.map(({ id, name }) => ({ id, name })),
  };
}

export async function action({ request, context }: Route.ActionArgs) {
  return act([plan, planOfClass, planOfPattern], request, { services: context.services });
}

export default function NewPlan({ loaderData, actionData }: Route.ComponentProps) {
  const { assignments, assignment, groups, plans } = loaderData;
  const busy = useNavigation().state !== "idle";
  const classWords = useClassWords();
  return (
    <div className="grid items-start gap-5 lg:grid-cols-[minmax(0,1fr)_20rem]">
      <Form method="post" className="grid gap-4">
        <header>
          <h1>Plan exercises</h1>
          <p>
            Faults are planted in a program that is right. Each is run: it shows as its class, a check notices it, and
            no other small change mends it. They come in rising level.
          </p>
        </header>
        {actionData?.message && (
          <p role="alert" className="font-semibold">
            {actionData.message}
          </p>
        )}
        <section className="leaf grid gap-3 p-3" aria-labelledby="right-program">
          <h2 id="right-program" className="text-base">
            The right program
          </h2>
          <label>
            The model of an assignment
            <select name="assignment" className="field" defaultValue={assignment}>
              <option value="">none: the program below</option>
              {assignments.map((each) => (
                <option key={each.key} value={each.key}>
                  {each.title} · {each.course_name}
                </option>
              ))}
            </select>
          </label>
          <details open={assignment === ""}>
            <summary className="cursor-pointer text-steel-deep">A program of your own</summary>
            <div className="mt-2 grid gap-3">
              <div className="grid gap-3 sm:grid-cols-3">
                <label>
                  Language
                  <select name="language" className="field">
                    {loaderData.languages.map(({ id, name }) => (
                      <option key={id} value={id}>
                        {name}
                      </option>
                    ))}
                  </select>
                </label>
                <label>
                  File name
                  <input name="name" className="field" placeholder="as usual in the language" maxLength={120} />
                </label>
                <label>
                  Title
                  <input name="title" className="field" maxLength={120} />
                </label>
              </div>
              <label>
                Program
                <textarea name="program" className="field min-h-56 font-mono text-sm" spellCheck={false} />
              </label>
              <p className="note-small">What it prints with inputs that fit it is taken as intended.</p>
            </div>
          </details>
        </section>
        <section className="leaf grid gap-3 p-3" aria-labelledby="wanted">
          <h2 id="wanted" className="text-base">
            What is wanted
          </h2>
          <div className="grid gap-3 sm:grid-cols-3">
            <label>
              How many
              <input name="count" type="number" min={1} max={20} defaultValue={10} className="field" required />
            </label>
            <label>
              Level
              <select name="level" className="field">
                <option value="">all, rising</option>
                {[1, 2, 3, 4, 5].map((level) => (
                  <option key={level} value={level}>
                    only {level}
                  </option>
                ))}
              </select>
            </label>
            <label>
              Kind of mistake
              <select name="pattern" className="field">
                <option value="">any</option>
                {loaderData.patterns.map(({ id, name }) => (
                  <option key={id} value={id}>
                    {name}
                  </option>
                ))}
              </select>
            </label>
          </div>
          <fieldset className="flex flex-wrap gap-x-4">
            <legend className="text-sm">Classes (none ticked: all)</legend>
            {(["syntax", "runtime", "logic"] as const).map((name) => (
              <label key={name} className="text-sm font-normal">
                <input type="checkbox" name="classes" value={name} /> {classWords(name)}
              </label>
            ))}
          </fieldset>
          <fieldset>
            <legend className="text-sm">Tasks of each exercise, with their marks (0: not asked)</legend>
            <KindGroups
              groups={groups}
              row={({ kind, title, marks }) => (
                <label className="flex items-baseline gap-2 text-sm font-normal">
                  <input
                    name={`marks ${kind}`}
                    type="number"
                    min={0}
                    max={100}
                    defaultValue={marks}
                    className="field w-16"
                  />
                  {title}
                </label>
              )}
            />
          </fieldset>
        </section>
        <p>
          <button className="press press-main" type="submit" name="intent" value="plan" disabled={busy}>
            {busy ? "Running the program …" : "Plan them"}
          </button>
        </p>
      </Form>
      <aside className="leaf grid content-start gap-1 p-3">
        <h2>Planned before</h2>
        {plans.length === 0 ? (
          <p className="note-small">Nothing was planned yet.</p>
        ) : (
          <ul>
            {plans.map((each) => (
              <li key={each.key}>
                <Link className="link" to={`/plans/${each.key}`}>
                  {each.title}
                </Link>{" "}
                <span className="note-small">{each.created_at.slice(0, 10)}</span>
              </li>
            ))}
          </ul>
        )}
      </aside>
    </div>
  );
}
