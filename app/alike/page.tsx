import { useEffect, useRef } from "react";
import { data, Link, useFetcher, useNavigate } from "react-router";
import { readWalkPlace } from "../../server/cases/walkStore.ts";
import { groupsOf } from "../../server/judge/caseGroups.ts";
import { act, type Reply, readAnewWhenStale } from "../actions.ts";
import { walkBegin, walkHome } from "../case/walkAddress.ts";
import { Said, settled } from "../components/Said.tsx";
import { useLetterKeys } from "../components/useLetterKeys.ts";
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
  const place = useRef<HTMLDivElement>(null);
  const navigate = useNavigate();
  const cards = () => [...(place.current?.querySelectorAll<HTMLFormElement>("form[data-group]") ?? [])];
  const at = () =>
    Math.max(
      0,
      cards().findIndex((card) => card.contains(document.activeElement)),
    );
  const undoes = reply?.intent === "decide" ? (reply.more ?? "") : "";
  // Whoever works by keys goes on from a group; where what had the focus has gone, too.
  useEffect(() => {
    if (document.activeElement !== document.body && document.activeElement !== null) return;
    (cards()[0] ?? place.current)?.focus({ preventScroll: true });
  });
  useLetterKeys(place, {
    a: () => fetcher.state === "idle" && cards()[at()]?.requestSubmit(cards()[at()]?.querySelector("button")),
    n: () => cards()[at() + 1]?.focus(),
    b: () => cards()[at() - 1]?.focus(),
    g: () => void navigate(walkBegin(view.through)),
    u: () => undoes !== "" && void fetcher.submit({ intent: "undo", case: undoes }, { method: "post" }),
  });
  const rest = [
    view.alone > 0 ? `${view.alone} ${view.alone === 1 ? "fails" : "fail"} like no other one` : "",
    view.open > 0 ? `${view.open} ${view.open === 1 ? "shows" : "show"} no fault` : "",
    view.waiting > 0 ? `${view.waiting} ${view.waiting === 1 ? "is" : "are"} still to be run` : "",
  ].filter((each) => each !== "");
  return (
    <div ref={place} tabIndex={-1} className="outline-none">
      <header className="mb-3 flex flex-wrap items-baseline gap-x-6 gap-y-1">
        <h1>Fail alike</h1>
        <p className="note-small mr-auto">
          what is left of{" "}
          <Link className="link" to={walkHome(view.through)}>
            {view.title ?? "the Tray"}
          </Link>
        </p>
        <Link className="link" to={walkBegin(view.through)}>
          Work through them one by one <kbd>G</kbd>
        </Link>
      </header>
      {reply && (
        <div className="mb-3 flex flex-wrap items-baseline gap-4 border border-rule-strong bg-slip px-3 py-2">
          <Said reply={reply} />
          {reply.intent === "decide" && reply.more && (
            <fetcher.Form method="post">
              <input type="hidden" name="case" value={reply.more} />
              <button className="press" name="intent" value="undo" type="submit">
                Undo <kbd>U</kbd>
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
    </div>
  );
}
