import { Form, Link, useSearchParams } from "react-router";
import type { Sheet } from "../../server/sheets/sheetStore.ts";
import type { LiveRow } from "../../server/sittings/live.ts";
import { clockTime } from "../sitting/TimeLeft.tsx";

/** How a student stands, in words. */
function stateWords({ state, since, receipt }: LiveRow, now: string): string {
  if (receipt) return `handed in ${clockTime(receipt.at)}${receipt.by === "student" ? "" : ", collected"}`;
  if (state === "here") return "here";
  if (state === "behind") return "another window is in front";
  if (state === "not begun") return "not begun";
  if (since === null) return "not connected";
  const minutes = Math.floor((Date.parse(now) - Date.parse(since)) / 60_000);
  return minutes < 1 ? "gone this minute" : `gone for ${minutes} min`;
}

/** Everybody who sits a sheet, with what can be done for each. */
export function LiveTable({ rows, state, now }: { rows: readonly LiveRow[]; state: Sheet["state"]; now: string }) {
  const [search] = useSearchParams();
  const shown = search.get("run");
  return (
    <section className="leaf overflow-x-auto" aria-label="Students" tabIndex={0}>
      <table className="w-full">
        <thead>
          <tr className="border-b-2 border-rule-strong text-left">
            {["Student", "", "On", "Answered", "Runs", "Until", "For this one"].map((title, at) => (
              <th key={title || at} scope="col" className="px-3 py-1">
                {title || <span className="sr-only">State</span>}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr
              key={row.student}
              className={`border-b border-rule align-baseline ${row.stuck || row.late > 0 ? "bg-slip" : ""}`}
            >
              <th scope="row" className="px-3 py-1 text-left font-semibold whitespace-nowrap">
                {row.label}
                {row.attempt > 1 && <span className="note-small font-normal">, try {row.attempt}</span>}
              </th>
              <td className="px-3 py-1 text-sm">
                <span className={row.state === "here" ? "font-semibold" : "text-graphite"}>{stateWords(row, now)}</span>
                {row.receipt && <span className="note-small font-mono"> {row.receipt.number}</span>}
                {row.stuck && <span className="block">May be stuck: {row.stuck}</span>}
              </td>
              <td className="px-3 py-1 text-sm">{row.state === "here" || row.state === "behind" ? row.task : ""}</td>
              <td className="px-3 py-1 whitespace-nowrap">{row.sitting ? `${row.answered} of ${row.tasks}` : ""}</td>
              <td className="px-3 py-1 whitespace-nowrap">
                {row.tries > 0 ? (
                  <Link
                    className="link"
                    preventScrollReset
                    to={shown === row.sitting ? "?" : `?run=${row.sitting}`}
                    aria-label={`${row.tries} runs of ${row.label}: the last one`}
                  >
                    {row.tries}, the last
                  </Link>
                ) : row.sitting ? (
                  "0"
                ) : (
                  ""
                )}
              </td>
              <td className="px-3 py-1 whitespace-nowrap">
                {row.endsAt ? clockTime(row.endsAt) : ""}
                {row.extraMinutes !== 0 && <span className="note-small"> (+{row.extraMinutes})</span>}
              </td>
              <td className="px-3 py-1">
                <ForOne row={row} state={state} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

/** What can be done for one student now. */
function ForOne({ row, state }: { row: LiveRow; state: Sheet["state"] }) {
  if (!row.sitting)
    return state === "closed" ? (
      <Form method="post">
        <input type="hidden" name="student" value={row.student} />
        {!row.later && <input type="hidden" name="allowed" value="yes" />}
        <button className="press press-quiet text-sm" type="submit" name="intent" value="later">
          {row.later ? "Close it for them" : "Let them sit it later"}
        </button>
      </Form>
    ) : null;
  const press = (intent: string, words: string) => (
    <button
      className="press press-quiet text-sm"
      type="submit"
      name="intent"
      value={intent}
      aria-label={`${words}: ${row.label}`}
    >
      {words}
    </button>
  );
  return (
    <Form method="post" className="flex flex-wrap items-baseline gap-x-3">
      <input type="hidden" name="sitting" value={row.sitting} />
      {row.state === "handed in" ? (
        <>
          {press("give back", "Give back")}
          {press("once more", "Once more from the beginning")}
        </>
      ) : (
        <>
          <input type="hidden" name="minutes" value="5" />
          {press("time", "5 minutes more")}
          {press("collect", "Collect")}
        </>
      )}
      {row.late > 0 && (
        <span className="w-full text-sm">
          {row.late} {row.late === 1 ? "answer" : "answers"} came late. {press("take late", "They count")}
          {press("leave late", "They do not")}
        </span>
      )}
    </Form>
  );
}
