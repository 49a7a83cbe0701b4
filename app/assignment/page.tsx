import { data, useFetcher } from "react-router";
import { findAssignment } from "../../server/assignments/assignmentStore.ts";
import { act, type Reply, readAnewWhenStale } from "../actions.ts";
import { HandInPanel } from "../handIn/HandInPanel.tsx";
import type { Route } from "./+types/page.ts";
import { AboutPart } from "./AboutPart.tsx";
import { AssignmentHead } from "./AssignmentHead.tsx";
import { assignmentActions } from "./actions/list.ts";
import { assignmentView } from "./assignmentView.ts";
import { ChecksPart } from "./ChecksPart.tsx";
import { InputsPart } from "./InputsPart.tsx";
import { ModelsPart } from "./ModelsPart.tsx";
import { AssignmentRevision } from "./Revision.tsx";
import { StrengthPart } from "./StrengthPart.tsx";

export const meta: Route.MetaFunction = () => [{ title: "Assignment · Bent Nail" }];

export async function loader({ params, request, context }: Route.LoaderArgs) {
  const assignment = await findAssignment(context.services.database, params.assignmentKey);
  if (!assignment) throw data("There is no such assignment. It may have been taken away.", { status: 404 });
  const view = await assignmentView(context.services, assignment, context.studentOrigin);
  const left = new URL(request.url).searchParams.get("left")?.slice(0, 2000) ?? "";
  return { ...view, wording: view.course.wording, left };
}

export async function action({ params, request, context }: Route.ActionArgs) {
  const assignment = await findAssignment(context.services.database, params.assignmentKey);
  if (!assignment) throw data("There is no such assignment.", { status: 404 });
  return act(assignmentActions, request, { services: context.services, who: context.who, assignment });
}

export const shouldRevalidate = readAnewWhenStale;

/** What an assignment asks for: statement, model programs, inputs, checks, and where students hand in. */
export default function AssignmentPage({ loaderData: view }: Route.ComponentProps) {
  const handIn = useFetcher<Reply>();
  return (
    <AssignmentRevision value={view.revision}>
      <AssignmentHead assignment={view} />
      {view.left && (
        <p role="status" className="leaf mb-4 border-l-4 border-l-ochre p-3">
          Taken. Not known here and left out: {view.left}
        </p>
      )}
      <div className="grid gap-6 lg:grid-cols-[minmax(0,1fr)_26rem]">
        <div className="grid content-start gap-6">
          <InputsPart view={view} />
          <ChecksPart view={view} />
          <StrengthPart view={view} />
        </div>
        <div className="grid content-start gap-4">
          <ModelsPart view={view} />
          <AboutPart view={view} />
          <HandInPanel handIn={view.handIn} fetcher={handIn} />
        </div>
      </div>
    </AssignmentRevision>
  );
}
