import { data, Link, useFetcher } from "react-router";
import { readWalkPlace } from "../../server/cases/walkStore.ts";
import { groupsOf } from "../../server/judge/caseGroups.ts";
import { act, type Reply, readAnewWhenStale } from "../actions.ts";
import { walkBegin, walkHome } from "../case/walkAddress.ts";
import { Said, settled } from "../components/Said.tsx";
import type { Route } from "./+types/page.ts";
import { alikeActions } from "./actions.ts";
import { GroupCard } from "./GroupCard.tsx";

export const meta: Route.MetaFunction = () => [{ title: "Fail alike · Bent Nail" }];

export async function loader({ request, context }: Route.LoaderArgs) {
  const through = new URL(request.url).searchParams.get("through") ?? "";
  const place = readWalkPlace(through);
  if (!place) throw data("There is no such place to work through.", { status: 404 });
  return { through, ...(await groupsOf(context.services, place)) };
}

export async function action({ request, context }: Route.ActionArgs) {
  return act(alikeActions, request, { services: context.services, who: context.who });
}

export const shouldRevalidate = readAnewWhenStale;

/** What is left of a place, put together by how it fails: one decision for each group. */
export default function AlikePage({ loaderData: view }: Route.ComponentProps) {
  // One answer for all groups: a group goes from the page when it is decided.
  const fetcher = useFetcher<Reply>();
  const reply = settled(fetcher);
  const rest = [
    view.alone > 0 ? `${view.alone} ${view.alone === 1 ? "fails" : "fail"} like no other one` : "",
    view.open > 0 ? `${view.open} ${view.open === 1 ? "shows" : "show"} no fault` : "",
    view.waiting > 0 ? `${view.waiting} ${view.waiting === 1 ? "is" : "are"} still to be run` : "",
  ].filter((each) => each !== "");
  return (
    <>
      <header className="mb-3 flex flex-wrap items-baseline gap-x-6 gap-y-1">
        <h1>Fail alike</h1>
        <p className="note-small mr-auto">
          what is left of{" "}
          <Link className="link" to={walkHome(view.through)}>
            {view.title ?? "the Tray"}
          </Link>
        </p>
        <Link className="link" to={walkBegin(view.through)}>
          Work through them one by one
        </Link>
      </header>
      {reply && (
        <div className="mb-3 flex flex-wrap items-baseline gap-4 border border-rule-strong bg-slip px-3 py-2">
          <Said reply={reply} />
          {reply.intent === "decide" && reply.more && (
            <fetcher.Form method="post">
              <input type="hidden" name="case" value={reply.more} />
              <button className="press" name="intent" value="undo" type="submit">
                Undo
              </button>
            </fetcher.Form>
          )}
        </div>
      )}
      {view.groups.length === 0 && (
        <p className="leaf max-w-3xl p-4">
          No two of the cases that are left fail alike.{" "}
          <Link className="link" to={walkBegin(view.through)}>
            Work through them one by one
          </Link>
        </p>
      )}
      <ul className="grid max-w-5xl gap-4">
        {view.groups.map((group) => (
          <li key={`${group.class} ${group.kind} ${group.shows} ${group.cases[0]?.key}`}>
            <GroupCard group={group} through={view.through} fetcher={fetcher} />
          </li>
        ))}
      </ul>
      {rest.length > 0 && <p className="note-small mt-4">Beside them {rest.join("; ")}.</p>}
    </>
  );
}
