import { type DragEvent, useRef, useState } from "react";
import { Form, Link, useNavigation } from "react-router";
import { decodeText } from "../../core/source/decode.ts";
import { filterChoices, filterOf } from "../../server/cases/filterChoices.ts";
import { listCases, listLength } from "../../server/cases/listStore.ts";
import { act } from "../actions.ts";
import { alikeAddress, walkBegin } from "../case/walkAddress.ts";
import { CaseFilters } from "../components/CaseFilters.tsx";
import { CaseList, Pages, UndoDelete } from "../components/CaseList.tsx";
import { CodeField } from "../components/CodeField.tsx";
import { Said } from "../components/Said.tsx";
import { useDraft } from "../components/useDraft.ts";
import { wholeNumber } from "../forms.ts";
import type { Route } from "./+types/page.ts";
import { collect } from "./actions/collect.ts";

export const meta: Route.MetaFunction = () => [{ title: "Tray · Bent Nail" }];

export async function loader({ request, context }: Route.LoaderArgs) {
  const { database } = context.services;
  const url = new URL(request.url);
  const page = wholeNumber(url.searchParams.get("page"), { from: 0, to: 100_000, otherwise: 0 });
  const filter = filterOf(url.searchParams);
  const [list, choices] = await Promise.all([
    listCases(database, { judged: false, page, ...filter }),
    filterChoices(database),
  ]);
  return {
    ...list,
    page,
    length: listLength,
    putAway: url.searchParams.get("away"),
    filter,
    choices,
    courses: choices.courses,
  };
}

export async function action({ request, context }: Route.ActionArgs) {
  return act([collect], request, { services: context.services });
}

const sample = {
  program: 'crossing = 35\nstops = input("Stops? ")\nminutes = crossing + stops * 5\nprint("Minutes", minutes)\n',
  input: "2\n",
  expected: "Stops? Minutes 45\n",
  purpose: "Work out how long a crossing of the Kittiwake takes with stops of 5 minutes.",
  errorOutput:
    "Traceback (most recent call last):\n  File \"crossing.py\", line 3, in <module>\n    minutes = crossing + stops * 5\nTypeError: unsupported operand type(s) for +: 'int' and 'str'\n",
};

export default function Tray({ loaderData, actionData }: Route.ComponentProps) {
  const { rows, total, page, length, putAway, courses, filter, choices } = loaderData;
  const problems: Record<string, string> = actionData?.problems ?? {};
  const form = useRef<HTMLFormElement>(null);
  const [encoding, setEncoding] = useState("");
  const [refused, setRefused] = useState("");
  const navigation = useNavigation();
  const forget = useDraft(form, "tray");

  const fill = (name: string, value: string) => {
    const control = form.current?.elements.namedItem(name);
    if (control instanceof HTMLTextAreaElement || control instanceof HTMLInputElement) {
      control.value = value;
      control.dispatchEvent(new Event("input", { bubbles: true }));
    }
  };
  const take = async (file: File) => {
    setRefused("");
    if (file.size > 2 * 1024 * 1024) return setRefused(`${file.name} is larger than 2 MB and was not taken.`);
    const bytes = new Uint8Array(await file.arrayBuffer());
    const read = decodeText(bytes);
    if (read.binary) return setRefused(`${file.name} is no program text and was not taken.`);
    fill("program", read.text);
    fill("fileName", file.name);
    let binary = "";
    for (const byte of bytes) binary += String.fromCharCode(byte);
    fill("original", btoa(binary));
    setEncoding(
      read.encoding === "utf-8" ? "" : `The file was in ${read.encoding.toUpperCase()}; it is kept as it is.`,
    );
  };
  const onDrop = (event: DragEvent) => {
    event.preventDefault();
    const file = event.dataTransfer.files[0];
    if (file) void take(file);
  };

  return (
    <div className="grid gap-8 lg:grid-cols-[minmax(0,1fr)_26rem]">
      <section aria-labelledby="collect-title">
        <h1 id="collect-title">Collect a faulty program</h1>
        <p className="note-small mb-3">
          Paste it or drop its file. Blanks, tabs and line ends are kept to the character.
        </p>
        <Form method="post" ref={form} className="leaf grid gap-2.5 p-4" onSubmit={() => setTimeout(forget, 0)}>
          <input type="hidden" name="original" />
          <Said reply={actionData} />
          {problems.language && (
            <div role="alert" className="border-l-4 border-ochre bg-slip px-3 py-2">
              <p>{problems.language}</p>
              <label className="font-normal">
                <input type="checkbox" name="languageIsRight" /> the language is right
              </label>
            </div>
          )}
          <div>
            <div className="flex items-baseline justify-between gap-3">
              <label htmlFor="program">Program</label>
              <span className="flex items-baseline gap-3">
                <label className="link cursor-pointer text-sm">
                  Choose a file
                  <input
                    type="file"
                    className="sr-only"
                    onChange={(event) => {
                      const file = event.target.files?.[0];
                      if (file) void take(file);
                    }}
                  />
                </label>
                <button
                  type="button"
                  className="press press-quiet text-sm"
                  onClick={() => {
                    for (const [name, value] of Object.entries(sample)) fill(name, value);
                  }}
                >
                  Try a sample
                </button>
              </span>
            </div>
            <textarea
              id="program"
              name="program"
              onDrop={onDrop}
              onDragOver={(event) => event.preventDefault()}
              className="field field-code overflow-auto"
              rows={7}
              spellCheck={false}
              wrap="off"
              aria-describedby="program-note"
              aria-invalid={problems.program ? true : undefined}
            />
            <p id="program-note" className="note-small" role="status">
              {problems.program ?? (refused || encoding)}
            </p>
          </div>
          <CodeField name="errorOutput" label="Error output, as it was shown" note="if there was one" />
          <div>
            <label htmlFor="intent">What is the program for?</label>
            <textarea id="intent" name="purpose" className="field" rows={1} />
          </div>
          <div className="grid gap-3 sm:grid-cols-3">
            <CodeField name="input" label="Typed in" />
            <CodeField name="expected" label="Should come out" />
            <CodeField name="actual" label="Came out instead" />
          </div>
          <fieldset className="flex flex-wrap gap-x-5">
            <legend className="sr-only">Or in a word</legend>
            <label className="font-normal">
              <input type="radio" name="symptom" value="" defaultChecked /> ended or was stopped
            </label>
            <label className="font-normal">
              <input type="radio" name="symptom" value="never ends" /> never ends
            </label>
            <label className="font-normal">
              <input type="radio" name="symptom" value="nothing appears" /> nothing appears
            </label>
          </fieldset>
          {problems.result && (
            <p role="alert" className="border-l-4 border-ochre pl-3 font-semibold">
              {problems.result}
            </p>
          )}
          <div>
            <button
              type="submit"
              name="intent"
              value="collect"
              className="press press-main"
              disabled={navigation.state !== "idle" && navigation.formMethod === "POST"}
            >
              {navigation.formMethod === "POST"
                ? navigation.state === "loading"
                  ? "Running it…"
                  : "Taking it in…"
                : "Take it in and run it"}
            </button>
          </div>
          <details open={problems.language ? true : undefined}>
            <summary className="cursor-pointer font-semibold text-steel-deep">
              More: whose, language, last change, version that worked, a fragment’s first line
            </summary>
            <div className="mt-2 grid gap-3 sm:grid-cols-2">
              <div>
                <label htmlFor="student">Student</label>
                <select id="student" name="student" className="field">
                  <option value="">nobody in particular</option>
                  {courses.map((course) => (
                    <optgroup key={course.key} label={course.name}>
                      <option value={course.key}>{course.name}, no student</option>
                      {course.students.map((student) => (
                        <option key={student.key} value={`${course.key}/${student.key}`}>
                          {student.label}
                        </option>
                      ))}
                    </optgroup>
                  ))}
                </select>
              </div>
              <div>
                <label htmlFor="language">Language</label>
                <select id="language" name="language" className="field">
                  <option value="">by file name and text</option>
                  {choices.languages.map((language) => (
                    <option key={language.id} value={language.id}>
                      {language.name}
                    </option>
                  ))}
                </select>
              </div>
              <div>
                <label htmlFor="fileName">File name</label>
                <input id="fileName" name="fileName" className="field" />
              </div>
              <div>
                <label htmlFor="title">Title of the case</label>
                <input id="title" name="title" className="field" />
              </div>
              <div className="sm:col-span-2">
                <label htmlFor="changedLast">What was changed last?</label>
                <input id="changedLast" name="changedLast" className="field" />
              </div>
              <CodeField name="worked" label="The last version that worked" />
              <div>
                <label htmlFor="userActions">What the user did, a step a line</label>
                <textarea
                  id="userActions"
                  name="userActions"
                  className="field"
                  rows={2}
                  placeholder="pressed “Book”, left the box empty …"
                />
              </div>
              <div>
                <label htmlFor="firstLine">Number of the first line</label>{" "}
                <span className="note-small">of a fragment</span>
                <input
                  id="firstLine"
                  name="firstLine"
                  className="field"
                  type="number"
                  min={1}
                  defaultValue={1}
                  onChange={(event) => {
                    // A fragment from the middle of a program does not run by itself.
                    const onlyRead = event.target.form?.elements.namedItem("onlyRead");
                    if (onlyRead instanceof HTMLInputElement) onlyRead.checked = Number(event.target.value) > 1;
                  }}
                />
                <label className="font-normal">
                  <input type="checkbox" name="onlyRead" /> only read it, never run it
                </label>
              </div>
              <div>
                <label htmlFor="source">Where it comes from</label>
                <input id="source" name="source" className="field" placeholder="a class, a paper, a book" />
              </div>
            </div>
          </details>
        </Form>
      </section>
      <section aria-labelledby="tray-title">
        <header className="flex flex-wrap items-baseline gap-x-4">
          <h2 id="tray-title">In the Tray: not judged yet</h2>
          {total > 0 && (
            <p className="ml-auto flex gap-4">
              <Link className="link" to={alikeAddress("tray")}>
                Fail alike
              </Link>
              <Link className="link" to={walkBegin("tray")}>
                Work through them
              </Link>
            </p>
          )}
        </header>
        <UndoDelete caseKey={putAway} />
        <CaseFilters filter={filter} choices={choices} withState={false} />
        {rows.length === 0 && Object.keys(filter).length > 0 ? (
          <p className="leaf mt-2 p-4">No case in the Tray is like this.</p>
        ) : rows.length === 0 ? (
          <p className="leaf mt-2 p-4">
            The Tray is empty. Cases wait here until you have said what kind of fault they have.
          </p>
        ) : (
          <CaseList rows={rows} narrow />
        )}
        <Pages
          page={page}
          total={total}
          length={length}
          address={(other) => `?${new URLSearchParams({ ...filter, page: String(other) })}`}
        />
      </section>
    </div>
  );
}
