import { useState } from "react";
import { data, Form, useFetcher, useNavigation } from "react-router";
import type { PlannedCase } from "../../core/collecting/arrange.ts";
import { sharedFolder, studentRules } from "../../core/collecting/studentRules.ts";
import { namedLanguages } from "../../core/languages/named.ts";
import { listAssignments, offered } from "../../server/assignments/assignmentStore.ts";
import { listCasesByKey } from "../../server/cases/listStore.ts";
import { findCollection } from "../../server/collect/collectionStore.ts";
import { arrangeCollection } from "../../server/collect/collections.ts";
import { judgingProgress } from "../../server/collect/judging.ts";
import { listStudents } from "../../server/people/courseStore.ts";
import { act } from "../actions.ts";
import { RefusedList } from "../collect/RefusedList.tsx";
import type { Route } from "./+types/page.ts";
import { collectionActions } from "./actions/list.ts";
import { JudgingList } from "./JudgingList.tsx";
import { ProgramRow } from "./ProgramRow.tsx";
import type { PlannedView } from "./plannedView.ts";
import { WrittenFor } from "./WrittenFor.tsx";

export const meta: Route.MetaFunction = () => [{ title: "Collect a class · Bent Nail" }];

/** Characters of an output that the table shows. */
const outputShown = 3000;

export async function loader({ params, context }: Route.LoaderArgs) {
  const { database } = context.services;
  const collection = await findCollection(database, params.collectionKey);
  if (!collection) throw data("There is no such set. It may have been put away.", { status: 404 });
  const shared = { key: collection.key, name: collection.name, refused: collection.refused };
  if (collection.state !== "open")
    return {
      ...shared,
      open: false as const,
      progress: await judgingProgress(context.services, collection.key),
      cases: await listCasesByKey(database, collection.cases),
      assignment: collection.assignment,
      assignments: offered(await listAssignments(database, collection.course ?? ""), collection.assignment),
    };
  const { arrangement, entries } = await arrangeCollection(database, collection);
  const students = await listStudents(database, collection.course ?? "");
  const short = (program: PlannedCase): PlannedView => ({
    ...program,
    atEnd: program.atEnd && { fromLine: program.atEnd.fromLine, commented: program.atEnd.commented },
    outputs: program.outputs.map((output) => ({ ...output, text: output.text.slice(0, outputShown) })),
  });
  return {
    ...shared,
    open: true as const,
    files: entries.length,
    languages: namedLanguages(),
    rule: arrangement.rule,
    shared: sharedFolder(entries.map((entry) => entry.path)),
    programs: arrangement.programs.map(short),
    unpaired: arrangement.unpaired.map((each) => ({ ...each, text: each.text.slice(0, outputShown) })),
    labels: students.map((student) => student.label),
    assignment: collection.assignment ?? "",
    assignments: offered(await listAssignments(database, collection.course ?? ""), collection.assignment),
  };
}

export async function action({ params, request, context }: Route.ActionArgs) {
  const collection = await findCollection(context.services.database, params.collectionKey);
  if (!collection) throw data("There is no such set.", { status: 404 });
  return act(collectionActions, request, { services: context.services, collection });
}

export default function CollectionPage({ loaderData }: Route.ComponentProps) {
  return loaderData.open ? <PairingTable view={loaderData} /> : <JudgingList view={loaderData} />;
}

type OpenView = Extract<Route.ComponentProps["loaderData"], { open: true }>;

function PairingTable({ view }: { view: OpenView }) {
  const correct = useFetcher();
  const navigation = useNavigation();
  const [find, setFind] = useState("");
  const send = (field: string, id: string, value: string) =>
    void correct.submit({ intent: "correct", field, id, value }, { method: "post" });
  const taken = view.programs.filter((program) => !program.left && !program.alreadyHere && program.language !== null);
  const shown = view.programs.filter((program) =>
    `${program.id} ${program.student}`.toLowerCase().includes(find.toLowerCase()),
  );
  return (
    <div className="grid gap-4">
      <header className="flex flex-wrap items-end gap-x-6 gap-y-2">
        <div className="mr-auto">
          <h1>{view.name}</h1>
          <p className="note-small" role="status">
            {view.files} files: {view.programs.length} programs,{" "}
            {view.programs.reduce((sum, program) => sum + program.outputs.length, 0)} error outputs paired,{" "}
            {view.unpaired.length} without a program, {view.refused.length} not taken. Nothing is kept yet.
          </p>
        </div>
        <Form method="post" className="flex gap-3">
          <button
            className="press press-main"
            name="intent"
            value="keep"
            type="submit"
            disabled={taken.length === 0 || navigation.state !== "idle"}
          >
            {navigation.formData?.get("intent") === "keep"
              ? "Taking them in…"
              : `Take ${taken.length} ${taken.length === 1 ? "program" : "programs"} into the Tray`}
          </button>
          <button className="press" name="intent" value="drop" type="submit">
            Put it away
          </button>
        </Form>
      </header>
      <section className="leaf flex flex-wrap items-end gap-6 p-3" aria-label="Rules for the whole table">
        <label>
          Whose program it is
          <select className="field" value={view.rule} onChange={(event) => send("rule", "", event.target.value)}>
            {studentRules.map((rule) => (
              <option key={rule.id} value={rule.id}>
                {rule.words}
              </option>
            ))}
          </select>
        </label>
        <label>
          Show only
          <input
            className="field"
            value={find}
            onChange={(event) => setFind(event.target.value)}
            placeholder="a name or a label"
          />
        </label>
        <WrittenFor assignment={view.assignment} assignments={view.assignments} />
        <p className="note-small pb-2">A label that the course does not have yet is added when the set is taken in.</p>
      </section>
      <datalist id="labels">
        {view.labels.map((label) => (
          <option key={label} value={label} />
        ))}
      </datalist>
      <section className="overflow-x-auto" aria-label="Programs of the set" tabIndex={0}>
        <table className="leaf w-full">
          <thead>
            <tr className="border-b-2 border-rule-strong text-left">
              <th className="px-2 py-1">Take</th>
              <th className="px-2 py-1">Student</th>
              <th className="px-2 py-1">Program</th>
              <th className="px-2 py-1">Language</th>
              <th className="px-2 py-1">Error output</th>
              <th className="px-2 py-1">To know</th>
            </tr>
          </thead>
          <tbody>
            {shown.map((program) => (
              <ProgramRow
                key={program.id}
                program={program}
                shared={view.shared}
                onCorrect={send}
                languages={view.languages}
              />
            ))}
          </tbody>
        </table>
      </section>
      {view.unpaired.length > 0 && (
        <section aria-labelledby="unpaired-title">
          <h2 id="unpaired-title">Outputs without a program</h2>
          <p className="note-small">No program fits well, or several fit alike. Choose one, or leave the output out.</p>
          <ul className="leaf divide-y divide-rule">
            {view.unpaired.map((output) => (
              <li key={output.path} className="flex flex-wrap items-center gap-4 px-3 py-2">
                <details className="min-w-0 flex-1">
                  <summary className="cursor-pointer">{output.path}</summary>
                  <pre className="text-sm wrap-anywhere whitespace-pre-wrap">{output.text}</pre>
                </details>
                <label className="flex items-center gap-2">
                  belongs to
                  <select
                    className="field w-auto"
                    value=""
                    onChange={(event) => send("pairs", output.path, event.target.value)}
                  >
                    <option value="">no program</option>
                    {[...new Set([...output.candidates, ...view.programs.map((program) => program.id)])].map((id) => (
                      <option key={id} value={id}>
                        {id}
                      </option>
                    ))}
                  </select>
                </label>
              </li>
            ))}
          </ul>
        </section>
      )}
      <RefusedList refused={view.refused} />
    </div>
  );
}
