import { Link, redirect } from "react-router";
import { services } from "../../server/services.ts";
import { listCases, listLength } from "../../server/stores/caseLists.ts";
import { deleteCase, restoreCase } from "../../server/stores/cases.ts";
import { filterChoices, filterOf } from "../../server/stores/filterChoices.ts";
import { CaseFilters } from "../components/CaseFilters.tsx";
import { CaseList, Pages, UndoDelete } from "../components/CaseList.tsx";
import { readForm, wholeNumber } from "../formText.ts";
import type { Route } from "./+types/casebook.ts";

export const meta: Route.MetaFunction = () => [{ title: "Casebook · Bent Nail" }];

export async function loader({ request }: Route.LoaderArgs) {
  const url = new URL(request.url);
  const page = wholeNumber(url.searchParams.get("page"), { from: 0, to: 100_000, otherwise: 0 });
  const filter = filterOf(url.searchParams);
  const { database } = services();
  const [{ rows, total }, choices] = await Promise.all([listCases(database, { judged: null, page, ...filter }), filterChoices(database)]);
  return { rows, total, page, length: listLength, filter, choices, putAway: url.searchParams.get("away") };
}

export async function action({ request }: Route.ActionArgs) {
  const form = await readForm(request);
  const key = String(form.get("case"));
  const referer = request.headers.get("referer") ?? "";
  const back = URL.canParse(referer) && new URL(referer).pathname === "/" ? "/" : "/casebook";
  if (form.get("intent") === "restore") {
    await restoreCase(services().database, key);
    return redirect(back);
  }
  await deleteCase(services().database, key);
  return redirect(`${back}?away=${encodeURIComponent(key)}`);
}

export default function Casebook({ loaderData }: Route.ComponentProps) {
  const { rows, total, page, length, filter, choices, putAway } = loaderData;
  return (
    <>
      <h1>Casebook</h1>
      <p className="note-small mb-3">All cases and what was found out about them.</p>
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
      <Pages page={page} total={total} length={length} address={(other) => `?${new URLSearchParams({ ...filter, page: String(other) })}`} />
    </>
  );
}
