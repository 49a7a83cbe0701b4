import { data, Link, useFetcher } from "react-router";
import { findAssignment } from "../../server/assignments/assignmentStore.ts";
import { overviewOf } from "../../server/classwork/overview.ts";
import { countToSearch } from "../../server/mend/findFixes.ts";
import { findCourse } from "../../server/people/courseStore.ts";
import { act, type Reply } from "../actions.ts";
import { alikeAddress, walkBegin } from "../case/walkAddress.ts";
import { PlainLinks } from "../components/PlainLinks.tsx";
import { useReadAgainWhile } from "../components/useReadAgainWhile.ts";
import type { Route } from "./+types/overviewPage.ts";
import { AssignmentHead } from "./AssignmentHead.tsx";
import { assignmentActions } from "./actions/list.ts";
import { ClassMistakes } from "./ClassMistakes.tsx";
import { GroupList } from "./GroupList.tsx";
import { OverviewTable } from "./OverviewTable.tsx";
import { pressedCell, shownOverview } from "./overviewView.ts";
import { PressedCellView } from "./PressedCellView.tsx";

export const meta: Route.MetaFunction = () => [{ title: "Overview · Bent Nail" }];

export async function loader({ params, request, context }: Route.LoaderArgs) {
  const { services } = context;
  const assignment = await findAssignment(services.database, params.assignmentKey);
  if (!assignment) throw data("There is no such assignment. It may have been taken away.", { status: 404 });
  const query = new URL(request.url).searchParams;
  const program = query.get("program");
  const [course, overview, toSearch] = await Promise.all([
    findCourse(services.database, assignment.course),
    overviewOf(services, assignment),
    countToSearch(services, assignment.key),
  ]);
  const pressed =
    program === null ? null : await pressedCell(services, assignment, overview, program, query.get("check") ?? "");
  return {
    ...shownOverview(overview),
    ...{ key: assignment.key, title: assignment.title, revision: assignment.revision, pressed, toSearch },
    putAway: assignment.put_away_at !== null,
    course: { key: assignment.course, name: course?.name ?? "" },
    wording: course?.wording ?? "three",
  };
}

export async function action({ params, request, context }: Route.ActionArgs) {
  const assignment = await findAssignment(context.services.database, params.assignmentKey);
  if (!assignment) throw data("There is no such assignment.", { status: 404 });
  return act(assignmentActions, request, { services: context.services, who: context.who, assignment });
}

const countWords = {
  ...{ syntax: "syntax", runtime: "runtime", logic: "logic", "no fault shown": "no fault shown", open: "open" },
} as const;

/** Students and checks at a glance, groups that fail alike, and the run of a pressed cell. */
export default function OverviewPage({ loaderData: view }: Route.ComponentProps) {
  const work = useFetcher<Reply>();
  useReadAgainWhile(view.toJudge > 0);
  const pressed = view.pressed && { program: view.pressed.caseKey, check: view.pressed.check.key };
  return (
    <>
      <AssignmentHead assignment={view} />
      {view.programs.length === 0 ? (
        <p className="leaf max-w-3xl p-4">
          No programs yet.{" "}
          <Link className="link" to="/collect">
            Collect a class
          </Link>{" "}
          and say there that the set belongs to this assignment, or open its hand-in page.
        </p>
      ) : (
        <div className="grid gap-4">
          <div className="flex flex-wrap items-baseline gap-x-6 gap-y-2">
            <p>
              {view.programs.length} programs:{" "}
              {(Object.keys(countWords) as Array<keyof typeof countWords>)
                .filter((each) => view.counts[each] > 0)
                .map((each) => `${view.counts[each]} ${countWords[each]}`)
                .join(", ")}
            </p>
            {view.toJudge > 0 || view.toSearch > 0 ? (
              <work.Form method="post" className="flex items-baseline gap-3">
                <input type="hidden" name="revision" value={view.revision} />
                <span role="status">
                  {view.toJudge > 0
                    ? `${view.toJudge} are still judged…`
                    : `Small changes are still looked for in ${view.toSearch} of them…`}
                </span>
                <button className="press" name="intent" value="stop" type="submit">
                  Stop
                </button>
              </work.Form>
            ) : (
              <work.Form method="post">
                <input type="hidden" name="revision" value={view.revision} />
                <button className="press press-quiet" name="intent" value="judge" type="submit">
                  Judge all again
                </button>
              </work.Form>
            )}
            <p className="ml-auto flex gap-4">
              <Link className="link" to={alikeAddress(`assignment ${view.key}`)}>
                Decide those that fail alike
              </Link>
              <Link className="link" to={walkBegin(`assignment ${view.key}`)}>
                Work through them
              </Link>
              <a className="link" href={`/assignments/${view.key}/overview.csv`} download>
                CSV
              </a>
              <Link className="link" to={`/print/assignments/${view.key}`}>
                Print
              </Link>
            </p>
          </div>
          <PlainLinks>
            <div className="grid items-start gap-5 xl:grid-cols-[minmax(0,1fr)_24rem]">
              <OverviewTable columns={view.columns} programs={view.programs} pressed={pressed} />
              <div className="grid gap-4">
                {view.pressed ? (
                  <PressedCellView cell={view.pressed} />
                ) : (
                  <p className="note-small">Press a sign to see that run beside what is intended.</p>
                )}
                <GroupList groups={view.groups} programs={view.programs} columns={view.columns} />
              </div>
            </div>
          </PlainLinks>
          <ClassMistakes assignment={view.key} />
        </div>
      )}
    </>
  );
}
