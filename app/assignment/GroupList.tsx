import type { Group } from "../../core/assignments/overview.ts";
import type { OverviewColumn } from "../../server/classwork/overview.ts";
import { ClassMark } from "../components/marks.tsx";
import type { ShownProgram } from "./overviewView.ts";

/** Names of a group that are shown, of a class and of a whole year; the table has all of them. */
const shownOfClass = 40;
const shownOfYear = 12;
const largestClass = 60;

/** Programs that fail alike, the largest group first, and those that pass everything. */
export function GroupList({
  groups,
  programs,
  columns,
}: {
  groups: readonly Group[];
  programs: readonly ShownProgram[];
  columns: readonly OverviewColumn[];
}) {
  const namesShown = programs.length > largestClass ? shownOfYear : shownOfClass;
  const byKey = new Map(programs.map((program) => [program.key, program]));
  const checks = columns.filter((column) => column.key !== "");
  const numberOf = (key: string) => checks.findIndex((column) => column.key === key) + 1;
  const passing = programs.filter((program) => program.class === null && program.state === "no fault shown");
  const labels = (keys: readonly string[]) => (
    <ul className="flex flex-wrap gap-x-3">
      {keys.slice(0, namesShown).map((key) => (
        <li key={key}>
          <a className="link" href={`/cases/${key}`}>
            {byKey.get(key)?.name ?? "a program"}
          </a>
        </li>
      ))}
      {keys.length > namesShown && <li className="note-small">and {keys.length - namesShown} more</li>}
    </ul>
  );
  return (
    <section className="grid gap-3" aria-label="Programs that fail alike">
      <h2>Fail alike</h2>
      {groups.some((group) => group.shows.includes("#")) && (
        <p className="note-small">What the first wrong line says; # stands for any number.</p>
      )}
      {groups.length === 0 && <p className="note-small">Nothing fails so far.</p>}
      <ul className="leaf divide-y divide-rule">
        {groups.map((group) => (
          <li key={`${group.class} ${group.checks.join()} ${group.shows}`} className="grid gap-1 px-3 py-2">
            <p className="flex flex-wrap items-center gap-x-3">
              <ClassMark of={group.class} />
              <strong>
                {group.programs.length} {group.programs.length === 1 ? "program" : "programs"}
              </strong>
              <span className="note-small">
                {group.checks.length === checks.length && checks.length > 0
                  ? "in every check"
                  : group.checks.length > 0
                    ? `in ${group.checks.length === 1 ? "check" : "checks"} ${group.checks.map(numberOf).join(", ")}`
                    : "in the run as handed in"}
              </span>
            </p>
            {group.shows && <code className="text-sm break-words">{group.shows}</code>}
            {labels(group.programs)}
          </li>
        ))}
      </ul>
      {passing.length > 0 && (
        <div className="leaf grid gap-1 px-3 py-2">
          <p>
            <strong>
              {passing.length} {passing.length === 1 ? "program" : "programs"}
            </strong>{" "}
            <span className="note-small">
              no fault shown by {checks.length} {checks.length === 1 ? "check" : "checks"}
            </span>
          </p>
          {labels(passing.map((program) => program.key))}
        </div>
      )}
    </section>
  );
}
