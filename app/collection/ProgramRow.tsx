import type { Language } from "../../core/languages/language.ts";
import type { PlannedView } from "./plannedView.ts";

/** A program of a set in the table, with what can be corrected. */
export function ProgramRow({
  program,
  shared,
  languages,
  onCorrect,
}: {
  program: PlannedView;
  /** The folder that all files share; it is left out. */
  shared: string;
  languages: ReadonlyArray<Pick<Language, "id" | "name">>;
  onCorrect: (field: string, id: string, value: string) => void;
}) {
  const short = (path: string) => (path.startsWith(shared) ? path.slice(shared.length) : path);
  const remarks = [
    program.alreadyHere ? "is here already, unchanged" : "",
    program.joins?.kind === "case" ? `next version of “${program.joins.title}”` : "",
    program.joins?.kind === "program" ? `next version of ${short(program.joins.id)}` : "",
    program.sameAs.length > 0 ? `same program as ${program.sameAs.slice(0, 3).join(", ")}` : "",
    program.atEnd && !program.atEnd.commented
      ? `the message from line ${program.atEnd.fromLine} on is taken off for the run`
      : "",
    program.files.length > 1
      ? `with ${program.files
          .slice(1)
          .map((file) => file.name)
          .join(", ")}`
      : "",
    program.languageSure ? "" : "language found from the text",
  ].filter((words) => words !== "");
  return (
    <tr className={`border-b border-rule align-top ${program.left || program.alreadyHere ? "text-graphite" : ""}`}>
      <td className="px-2 py-1.5">
        <input
          type="checkbox"
          aria-label={`Take ${program.id}`}
          key={String(program.left)}
          defaultChecked={!program.left && !program.alreadyHere}
          disabled={program.alreadyHere}
          onChange={(event) => onCorrect("left", program.id, event.target.checked ? "no" : "yes")}
        />
      </td>
      <td className="px-2 py-1">
        <input
          key={program.student}
          className="field w-28"
          list="labels"
          aria-label={`Student of ${program.id}`}
          defaultValue={program.student}
          onBlur={(event) =>
            event.target.value.trim() !== program.student &&
            onCorrect("students", program.id, event.target.value.trim())
          }
        />
        {program.studentIsNew && <span className="note-small block">new label</span>}
      </td>
      <td className="px-2 py-1.5 font-mono text-sm break-words">{short(program.id)}</td>
      <td className="px-2 py-1">
        <select
          className="field w-auto"
          aria-label={`Language of ${program.id}`}
          value={program.language ?? ""}
          onChange={(event) => onCorrect("languages", program.id, event.target.value)}
        >
          {program.language === null && <option value="">not known</option>}
          {languages.map((language) => (
            <option key={language.id} value={language.id}>
              {language.name}
            </option>
          ))}
        </select>
      </td>
      <td className="px-2 py-1.5">
        {program.outputs.length === 0 && <span className="note-small">none</span>}
        {program.outputs.map((output) => (
          <div key={output.path ?? "end"} className="flex items-start gap-2">
            <details className="min-w-0 flex-1">
              <summary className="cursor-pointer">
                <span className="font-mono text-sm">
                  {output.path === null ? "at the end of the program" : short(output.path)}
                </span>{" "}
                <span className="note-small">{output.path === null ? "" : output.why}</span>
              </summary>
              <pre className="max-w-[28rem] text-sm wrap-anywhere whitespace-pre-wrap">{output.text}</pre>
            </details>
            {output.path !== null && (
              <button
                type="button"
                className="press press-quiet text-sm"
                aria-label={`${output.path} does not belong to ${program.id}`}
                onClick={() => onCorrect("pairs", output.path ?? "", "")}
              >
                not this one
              </button>
            )}
          </div>
        ))}
      </td>
      <td className="note-small px-2 py-1.5">{remarks.join("; ")}</td>
    </tr>
  );
}
