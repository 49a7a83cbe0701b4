import { data, Form, Link, useNavigation } from "react-router";
import { totalMarks } from "../../core/exercises/exercise.ts";
import { findPattern } from "../../core/patterns/patterns.ts";
import { lineTexts } from "../../core/source/lines.ts";
import { findPlan } from "../../server/exercises/planStore.ts";
import { listCourses } from "../../server/people/courseStore.ts";
import { act } from "../actions.ts";
import { FixSlip } from "../components/FixSlip.tsx";
import { ClassMark, useCourseWords } from "../components/marks.tsx";
import { Said } from "../components/Said.tsx";
import { Script } from "../components/Script.tsx";
import { useReadAgainWhile } from "../components/useReadAgainWhile.ts";
import type { Route } from "./+types/page.ts";
import { makeTwins, proveAgain } from "./actions/planned.ts";
import { toSheet } from "./actions/toSheet.ts";

export const meta: Route.MetaFunction = () => [{ title: "Planned exercises · Bent Nail" }];

export async function loader({ params, context }: Route.LoaderArgs) {
  const { database } = context.services;
  const [plan, courses] = await Promise.all([findPlan(database, params.planKey), listCourses(database)]);
  if (!plan) throw data("There is no such plan.", { status: 404 });
  const { key, title, course, state, tried, of_all, said, seconds, sheet, checks, wish } = plan;
  return {
    plan: { key, title, course, state, tried, of: of_all, said, seconds, sheet, wanted: wish.count },
    checks: checks.length,
    courses: courses.map((each) => ({ key: each.key, name: each.name })),
    planned: plan.planned.map(({ title, content, pattern, level, why, reasons, twin }) => {
      const [fault] = content.faults;
      return {
        ...{ title, level, why, reasons, marks: totalMarks(content), tasks: content.tasks.length },
        class: fault?.class ?? null,
        message: fault?.message ?? "",
        lines: fault?.faultyLines ?? [],
        reported: fault?.reportedLine ?? null,
        noticed: fault?.noticed ?? null,
        hunks: fault?.hunks ?? [],
        program: content.program,
        hidden: content.hiddenChecks.length,
        twin: typeof twin === "object" ? { program: twin.program } : null,
        noTwin: typeof twin === "string" ? twin : "",
        pattern: pattern === null ? null : { id: pattern, name: findPattern(pattern)?.name ?? pattern },
      };
    }),
  };
}

export async function action({ params, request, context }: Route.ActionArgs) {
  const plan = await findPlan(context.services.database, params.planKey);
  if (!plan) throw data("There is no such plan.", { status: 404 });
  return act([toSheet, proveAgain, makeTwins], request, { services: context.services, plan });
}

export default function PlanPage({ loaderData, actionData }: Route.ComponentProps) {
  const { plan, planned, courses, checks } = loaderData;
  const waiting = plan.state === "waiting";
  const busy = useNavigation().state !== "idle";
  useReadAgainWhile(waiting);
  const inWords = useCourseWords();
  return (
    <div className="grid items-start gap-5 lg:grid-cols-[minmax(0,1fr)_20rem]">
      <section className="grid gap-3" aria-labelledby="plan-title">
        <header>
          <h1 id="plan-title">{plan.title}: planned exercises</h1>
          <p className="note-small" role="status">
            {waiting
              ? planned.length > 0
                ? `Making equal ones in another scene: ${plan.tried} of ${plan.of}`
                : plan.of > 0
                  ? `Making tasks and checking them: ${plan.tried} of ${plan.of}`
                  : `Planting and running faults: ${plan.tried} tried`
              : `${planned.length} of ${plan.wanted}, proven by runs with ${checks} ${checks === 1 ? "check" : "checks"} in ${plan.seconds.toFixed(0)} seconds`}
          </p>
        </header>
        <Said reply={actionData} />
        {plan.said.map((words) => (
          <p key={words} className="border-l-4 border-ochre bg-slip px-3 py-2">
            {words}
          </p>
        ))}
        {!waiting && planned.length === 0 && (
          <p className="leaf p-4">
            Nothing could be planted.{" "}
            <Link className="link" to="/plans/new">
              Plan once more
            </Link>
            , with another program or fewer wishes.
          </p>
        )}
        <ol className="grid gap-3">
          {planned.map((each, index) => (
            <li key={each.title} className="leaf grid gap-2 p-3">
              <div className="flex flex-wrap items-center gap-3">
                <label className="font-semibold">
                  <input
                    type="checkbox"
                    name="exercise"
                    form="sheet-of-plan"
                    value={index}
                    defaultChecked={each.reasons.length === 0}
                    disabled={each.reasons.length > 0}
                  />{" "}
                  {each.title}
                </label>
                <span>level {each.level}</span>
                <ClassMark of={each.class} words />
                {each.pattern && (
                  <Link className="link text-sm" to={`/patterns/${each.pattern.id}`}>
                    {each.pattern.name}
                  </Link>
                )}
                <span className="note-small ml-auto">
                  {each.tasks} tasks, {each.marks} marks
                </span>
              </div>
              {each.reasons.map((reason) => (
                <p key={reason} role="alert" className="border-l-4 border-vermilion bg-slip px-3 py-1">
                  {reason}
                </p>
              ))}
              <FixSlip hunks={each.hunks} />
              {each.message !== "" && (
                <p className="font-mono text-sm whitespace-pre-wrap">
                  {each.message}
                  {each.reported !== null && (
                    <span className="note-small font-sans"> reported on line {each.reported}</span>
                  )}
                </p>
              )}
              <p className="note-small">
                {each.noticed && `Noticed by ${each.noticed.by} of ${each.noticed.of} checks. `}
                {each.hidden > 0 && `${each.hidden} hidden checks tell what hides it. `}
                Level {each.level}: {inWords(each.why.join("; "))}.
              </p>
              <details>
                <summary className="cursor-pointer text-sm text-steel-deep">The program as students get it</summary>
                <Script
                  lines={lineTexts(each.program)}
                  label={`Program of ${each.title}`}
                  faulty={new Set(each.lines)}
                />
              </details>
              {each.twin && (
                <details>
                  <summary className="cursor-pointer text-sm text-steel-deep">The equal one in another scene</summary>
                  <Script
                    lines={lineTexts(each.twin.program)}
                    label={`Equal to ${each.title}`}
                    faulty={new Set(each.lines)}
                  />
                </details>
              )}
              {each.noTwin !== "" && <p className="note-small">{each.noTwin}</p>}
              <details>
                <summary className="cursor-pointer text-sm text-steel-deep">Change it by hand</summary>
                <Form method="post" className="mt-1 grid gap-2">
                  <input type="hidden" name="index" value={index} />
                  <label className="text-sm">
                    The program of {each.title}, as it is handed out
                    <textarea
                      key={each.program}
                      name="program"
                      className="field font-mono"
                      rows={Math.min(20, each.program.split("\n").length + 1)}
                      defaultValue={each.program}
                    />
                  </label>
                  <div>
                    <button className="press" type="submit" name="intent" value="prove" disabled={waiting || busy}>
                      {busy ? "Running it …" : "Run it and prove it again"}
                    </button>
                  </div>
                </Form>
              </details>
            </li>
          ))}
        </ol>
      </section>
      <aside className="leaf grid content-start gap-4 p-3">
        <Form method="post" id="sheet-of-plan" className="grid gap-2">
          <h2>Make a sheet of them</h2>
          {plan.sheet && (
            <p>
              <Link className="link" to={`/sheets/${plan.sheet}`}>
                A sheet was made of this plan
              </Link>
            </p>
          )}
          <label>
            Title
            <input name="title" className="field" defaultValue={plan.title} required maxLength={200} />
          </label>
          <label>
            Course
            <select name="course" className="field" defaultValue={plan.course ?? ""}>
              {courses.map((course) => (
                <option key={course.key} value={course.key}>
                  {course.name}
                </option>
              ))}
            </select>
          </label>
          {planned.some(({ twin }) => twin) && (
            <label className="font-normal">
              <input type="checkbox" name="second" /> and a second sheet with the equal ones, for every other seat
            </label>
          )}
          <button
            className="press press-main"
            type="submit"
            name="intent"
            value="sheet"
            disabled={waiting || planned.length === 0}
          >
            Make the sheet
          </button>
          <p className="note-small">
            The ticked ones, in rising level. You can still change each exercise before it is set.
          </p>
        </Form>
        {planned.length > 0 && (
          <Form method="post" className="grid gap-2 border-t border-rule pt-3">
            <h2>For whoever sits beside</h2>
            <p className="note-small">
              Equal exercises: the same faults on the same lines, other names, numbers and outputs. The same number
              gives the same scene.
            </p>
            <label className="text-sm">
              Scene
              <input name="seed" type="number" min={0} max={1_000_000} defaultValue={1} className="field w-24" />
            </label>
            <div>
              <button className="press" type="submit" name="intent" value="twins" disabled={waiting || busy}>
                Make an equal one of each
              </button>
            </div>
          </Form>
        )}
      </aside>
    </div>
  );
}
