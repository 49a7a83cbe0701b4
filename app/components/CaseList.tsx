import { Form, Link } from "react-router";
import { findWording } from "../../core/wording/wordings.ts";
import type { CaseListRow } from "../../server/cases/listStore.ts";
import { ClassMark, StraightNail, WordingContext } from "./marks.tsx";

const dates = new Intl.DateTimeFormat("en-GB", { day: "numeric", month: "short", year: "numeric", timeZone: "UTC" });

/** A ruled list of cases; each can be put away with one key press. */
export function CaseList({
  rows,
  narrow = false,
}: {
  rows: readonly CaseListRow[] /** Without the words beside the mark. */;
  narrow?: boolean;
}) {
  return (
    <ul className="leaf divide-y divide-rule">
      {rows.map((row) => (
        <li key={row.key} className="flex items-center gap-4 px-3 py-2">
          <span className={narrow ? "shrink-0" : "w-40 shrink-0"}>
            {row.judged_at && row.outcome !== null && row.outcome !== "fault" ? (
              <span className="font-semibold text-graphite">{row.outcome}</span>
            ) : (
              <WordingContext value={findWording(row.wording)}>
                <ClassMark of={row.judged_at ? row.class : null} kind={row.kind} words={!narrow} />
              </WordingContext>
            )}
            {row.judged_at && row.class !== null && !row.confirmed && !narrow && (
              <span className="note-small block">suggested, not confirmed</span>
            )}
          </span>
          <span className="min-w-0 flex-1">
            <Link className="link" to={`/cases/${row.key}`}>
              {row.title}
            </Link>
            <span className="note-small block">
              {[
                row.label,
                row.languageName,
                row.course_name,
                dates.format(new Date(row.created_at)),
                row.text_state === "warnings only" ? "warnings only" : null,
                row.layers > 1 ? `${row.layers} layers` : null,
              ]
                .filter((part) => part)
                .join(" · ")}
            </span>
          </span>
          {row.verified_at && (
            <span className="note-small flex items-center gap-1">
              <StraightNail /> verified
            </span>
          )}
          <Form method="post" action="/casebook">
            <input type="hidden" name="case" value={row.key} />
            <button
              className="press press-quiet text-sm"
              name="intent"
              value="delete"
              type="submit"
              aria-label={`Put away: ${row.title}`}
            >
              Put away
            </button>
          </Form>
        </li>
      ))}
    </ul>
  );
}

/** Offers to take a deletion back. */
export function UndoDelete({ caseKey }: { caseKey: string | null }) {
  if (!caseKey) return null;
  return (
    <Form
      method="post"
      action="/casebook"
      className="mb-3 flex items-center gap-3 border border-rule-strong bg-slip px-3 py-2"
      role="status"
    >
      The case was put away.
      <input type="hidden" name="case" value={caseKey} />
      <button className="press" name="intent" value="restore" type="submit">
        Undo
      </button>
    </Form>
  );
}

/** Links to the neighbouring pages of a list. */
export function Pages({
  page,
  total,
  length,
  address,
}: {
  page: number;
  total: number;
  length: number;
  address: (page: number) => string;
}) {
  if (total <= length) return null;
  return (
    <nav aria-label="Pages of the list" className="mt-2 flex gap-4">
      {page > 0 && (
        <Link className="link" to={address(page - 1)}>
          Newer
        </Link>
      )}
      <span className="note-small">
        {page * length + 1} to {Math.min(total, (page + 1) * length)} of {total}
      </span>
      {(page + 1) * length < total && (
        <Link className="link" to={address(page + 1)}>
          Older
        </Link>
      )}
    </nav>
  );
}
