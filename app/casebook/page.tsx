import { Link } from "react-router";
import { filterChoices, filterOf } from "../../server/cases/filterChoices.ts";
import { listCases, listLength } from "../../server/cases/listStore.ts";
import { act } from "../actions.ts";
import { CaseFilters } from "../components/CaseFilters.tsx";
import { CaseList, Pages, UndoDelete } from "../components/CaseList.tsx";
import { Said } from "../components/Said.tsx";
import { wholeNumber } from "../forms.ts";
import type { Route } from "./+types/page.ts";
import { CasebookTabs } from "./CasebookTabs.tsx";
import { listActions } from "./listActions.ts";
import { OutAndIn } from "./OutAndIn.tsx";

export const meta: Route.MetaFunction = () => [{ title: "Casebook · Bent Nail" }];

export async function loader({ request, context }: Route.LoaderArgs) {
  const url = new URL(request.url);
  const page = wholeNumber(url.searchParams.get("page"), { from: 0, to: 100_000, otherwise: 0 });
  const filter = filterOf(url.searchParams);
  const { database } = context.services;
  const [{ rows, total }, choices] = await Promise.all([
    listCases(database, { judged: null, page, ...filter }),
    filterChoices(database),
  ]);
  return { rows, total, page, length: listLength, filter, choices, putAway: url.searchParams.get("away") };
}

export async function action({ request, context }: Route.ActionArgs) {
  const referer = request.headers.get("referer") ?? "";
  const back = URL.canParse(referer) && new URL(referer).pathname === "/" ? "/" : "/casebook";
  return act(listActions, request, { services: context.services, back });
}

export default function Casebook({ loaderData, actionData }: Route.ComponentProps) {
  const { rows, total, page, length, filter, choices, putAway } = loaderData;
  return (
    <>
      <h1>Casebook</h1>
      <CasebookTabs />
      <Said reply={actionData} className="mb-2" />
      <UndoDelete caseKey={putAway} />
      <CaseFilters filter={filter} choices={choices} withState />
      {rows.length === 0 && Object.keys(filter).length > 0 ? (
        <p className="leaf p-5">No case is like this. Look for fewer words, or show all.</p>
      ) : rows.length === 0 ? (
        <p className="leaf p-5">
          No cases here yet. A case comes in through the{" "}
          <Link className="link" to="/">
            Tray
          </Link>
          : paste a faulty program there.
        </p>
      ) : (
        <CaseList rows={rows} />
      )}
      <Pages
        page={page}
        total={total}
        length={length}
        address={(other) => `?${new URLSearchParams({ ...filter, page: String(other) })}`}
      />
      <OutAndIn filter={filter} total={total} courses={choices.courses} />
    </>
  );
}
