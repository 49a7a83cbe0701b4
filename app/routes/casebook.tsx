import { Link, redirect } from "react-router";
import { services } from "../../server/services.ts";
import { deleteCase, listCases, listLength, restoreCase } from "../../server/stores/cases.ts";
import { CaseList, Pages, UndoDelete } from "../components/CaseList.tsx";
import type { Route } from "./+types/casebook.ts";

export const meta: Route.MetaFunction = () => [{ title: "Casebook · Bent Nail" }];

export async function loader({ request }: Route.LoaderArgs) {
  const url = new URL(request.url);
  const page = Math.max(0, Number(url.searchParams.get("page")) || 0);
  const faultClass = url.searchParams.get("class") ?? "";
  const { rows, total } = await listCases(services().database, { judged: null, page, class: faultClass });
  return { rows, total, page, length: listLength, faultClass, putAway: url.searchParams.get("away") };
}

export async function action({ request }: Route.ActionArgs) {
  const form = await request.formData();
  const key = String(form.get("case"));
  const from = new URL(request.headers.get("referer") ?? "/casebook", "http://local").pathname;
  const back = from === "/" ? "/" : "/casebook";
  if (form.get("intent") === "restore") {
    await restoreCase(services().database, key);
    return redirect(back);
  }
  await deleteCase(services().database, key);
  return redirect(`${back}?away=${encodeURIComponent(key)}`);
}

const filters = [
  { value: "", words: "all" },
  { value: "syntax", words: "syntax errors" },
  { value: "runtime", words: "runtime errors" },
  { value: "logic", words: "logic errors" },
];

export default function Casebook({ loaderData }: Route.ComponentProps) {
  const { rows, total, page, length, faultClass, putAway } = loaderData;
  return (
    <>
      <h1>Casebook</h1>
      <p className="note-small mb-3">All cases and what was found out about them.</p>
      <UndoDelete caseKey={putAway} />
      <nav aria-label="Show" className="mb-3 flex gap-4">
        {filters.map((filter) => (
          <Link
            key={filter.value}
            className={filter.value === faultClass ? "border-b-3 border-ink font-semibold" : "link"}
            to={filter.value ? `?class=${filter.value}` : "?"}
            aria-current={filter.value === faultClass ? "true" : undefined}
          >
            {filter.words}
          </Link>
        ))}
      </nav>
      {rows.length === 0 ? (
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
      <Pages page={page} total={total} length={length} address={(other) => `?page=${other}${faultClass ? `&class=${faultClass}` : ""}`} />
    </>
  );
}
