import { useRef, useState } from "react";
import { Form, redirect, useNavigation } from "react-router";
import { handInSchema } from "../../core/collecting/handIn.ts";
import { decodeText } from "../../core/source/decode.ts";
import { findAssignmentByHandIn } from "../../server/assignments/assignmentStore.ts";
import { handIn } from "../../server/collect/handIn.ts";
import type { Database } from "../../server/database/database.ts";
import { findCourse, listStudents } from "../../server/people/courseStore.ts";
import { useDraft } from "../components/useDraft.ts";
import { formText, readForm } from "../forms.ts";
import { slowGuessing, unknownAddress } from "../unknownAddress.ts";
import type { Route } from "./+types/page.ts";
import { AssignmentForStudents } from "./AssignmentForStudents.tsx";
import { studentView } from "./studentView.ts";

export const meta: Route.MetaFunction = () => [{ title: "Hand in a program" }];

async function assignmentOf(database: Database, code: string, address: string) {
  await slowGuessing(address);
  const assignment = await findAssignmentByHandIn(database, code);
  const course = assignment && (await findCourse(database, assignment.course));
  if (!assignment || !course)
    throw unknownAddress(address, "There is no course with this code. Look at the address again, or ask your teacher.");
  return { assignment, course };
}

export async function loader({ params, context }: Route.LoaderArgs) {
  const { assignment, course } = await assignmentOf(context.services.database, params.code, context.address);
  return {
    open: assignment.hand_in_open,
    name: course.name,
    title: assignment.title,
    task: assignment.statement.trim(),
    ...(await studentView(context.services.database, assignment.key)),
    labels: (await listStudents(context.services.database, course.key)).map((student) => student.label),
  };
}

export async function action({ params, request, context }: Route.ActionArgs) {
  const { assignment, course } = await assignmentOf(context.services.database, params.code, context.address);
  const form = await readForm(request);
  const file = form.get("file");
  const pasted = formText(form, "program");
  const bytes =
    file instanceof File && file.size > 0 ? new Uint8Array(await file.arrayBuffer()) : Buffer.from(pasted, "utf8");
  const fileName = formText(form, "fileName") || (file instanceof File ? file.name : "");
  const given = handInSchema.safeParse({
    ...Object.fromEntries(
      ["student", "code", "intent", "instead", "changedLast", "output", "input", "userActions"].map((name) => [
        name,
        formText(form, name),
      ]),
    ),
    fileName,
    cannotSay: form.get("cannotSay") !== null,
  });
  if (!given.success) return { problems: { "": "Something in it is too long to be taken." } as Record<string, string> };
  const result = await handIn(context.services, { course, assignment }, given.data, bytes, {
    address: context.address,
    questions: true,
  });
  return result.ok ? redirect(`/s/receipt/${result.receipt}`) : { problems: result.problems };
}

/** The page on which a student hands in: three questions first, then the program and what was shown. */
export default function HandInPage({ loaderData, actionData }: Route.ComponentProps) {
  const { name, title, task, labels, open, starter, checks } = loaderData;
  const problems: Record<string, string> = actionData?.problems ?? {};
  const form = useRef<HTMLFormElement>(null);
  const [answered, setAnswered] = useState(false);
  const [askedAgain, setAskedAgain] = useState(false);
  const [missing, setMissing] = useState("");
  const [fileNote, setFileNote] = useState("");
  const navigation = useNavigation();
  const forget = useDraft(form, "hand-in");
  const showRest = answered || actionData !== undefined;

  const goOn = () => {
    const fields = new FormData(form.current ?? undefined);
    const intent = String(fields.get("intent") ?? "").trim();
    if (task === "" && intent === "" && fields.get("cannotSay") === null) {
      // Whoever cannot say what it should do is best helped by the task itself.
      setAskedAgain(true);
      return setMissing("No hurry. Read the task once more and try to say in one sentence what should come out.");
    }
    if (String(fields.get("instead") ?? "").trim() === "")
      return setMissing("And what did it do instead? “It stopped with a message” is enough.");
    setMissing("");
    setAnswered(true);
  };
  const take = async (file: File | undefined) => {
    const control = form.current?.elements.namedItem("program");
    const nameField = form.current?.elements.namedItem("fileName");
    if (!file || !(control instanceof HTMLTextAreaElement)) return;
    const read = decodeText(new Uint8Array(await file.arrayBuffer()));
    if (read.binary) return setFileNote(`${file.name} is no program text. Choose the file that you wrote.`);
    control.value = read.text;
    if (nameField instanceof HTMLInputElement) nameField.value = file.name;
    setFileNote(file.name);
    control.dispatchEvent(new Event("input", { bubbles: true }));
  };

  if (!open)
    return (
      <main className="mx-auto max-w-xl p-5">
        <h1>Hand in a program</h1>
        <p>{name} takes no programs at the moment. Ask your teacher.</p>
      </main>
    );
  return (
    <main className="mx-auto max-w-xl p-4">
      <h1>Hand in a program</h1>
      <p className="note-small mb-3">
        {name}: {title}
      </p>
      {task !== "" && <AssignmentForStudents task={task} starter={starter} checks={checks} />}
      <Form
        method="post"
        encType="multipart/form-data"
        ref={form}
        className="grid gap-4"
        onSubmit={() => setTimeout(forget, 0)}
      >
        <section className="leaf grid gap-3 p-4" aria-label="Questions first">
          {task === "" && (
            <label>
              What was it meant to do?
              <textarea name="intent" className="field" rows={2} aria-describedby="questions-note" />
            </label>
          )}
          {askedAgain && (
            <div className="border-l-4 border-steel bg-slip px-3 py-2">
              <p>Look at your task sheet again: what does it ask for, and for which input?</p>
              <label className="mt-2 font-normal">
                <input type="checkbox" name="cannotSay" /> I have read it again and still cannot say
              </label>
            </div>
          )}
          <label>
            What did it do instead?{" "}
            {task !== "" && <span className="note-small font-normal">“nothing, it works” is an answer, too</span>}
            <textarea name="instead" className="field" rows={2} />
          </label>
          <label>
            What did you change last? <span className="note-small font-normal">if it worked before</span>
            <textarea name="changedLast" className="field" rows={1} />
          </label>
          <p id="questions-note" role="status" className="font-semibold">
            {missing || problems.intent || problems.instead || ""}
          </p>
          {!showRest && (
            <div>
              <button type="button" className="press press-main" onClick={goOn}>
                Go on to the program
              </button>
            </div>
          )}
        </section>
        {showRest && (
          <section className="leaf grid gap-3 p-4" aria-label="The program and what was shown">
            <div>
              <div className="flex flex-wrap items-baseline justify-between gap-2">
                <label htmlFor="program">Program</label>
                <label className="link cursor-pointer text-sm focus-within:outline-2">
                  Choose its file
                  <input
                    type="file"
                    name="file"
                    className="sr-only"
                    onChange={(event) => void take(event.target.files?.[0])}
                  />
                </label>
              </div>
              <textarea
                id="program"
                name="program"
                className="field field-code overflow-auto"
                rows={8}
                wrap="off"
                spellCheck={false}
                autoCapitalize="off"
                aria-describedby="program-note"
              />
              <input type="hidden" name="fileName" />
              <p id="program-note" role="status" className="note-small">
                {problems.program ?? fileNote}
              </p>
            </div>
            <label>
              Error output, all of it <span className="note-small font-normal">if there was one</span>
              <textarea
                name="output"
                className="field field-code overflow-auto"
                rows={4}
                wrap="off"
                spellCheck={false}
                aria-describedby="output-note"
              />
            </label>
            <p id="output-note" role="status" className="note-small">
              {problems.output ?? ""}
            </p>
            <label>
              What you typed in <span className="note-small font-normal">if it asks for something</span>
              <textarea
                name="input"
                className="field field-code overflow-auto"
                rows={1}
                wrap="off"
                spellCheck={false}
              />
            </label>
            <details>
              <summary className="cursor-pointer font-semibold text-steel-deep">
                It has buttons or a drawing area
              </summary>
              <label className="mt-1">
                What you did, step by step, a line each
                <textarea name="userActions" className="field" rows={3} />
              </label>
            </details>
            {labels.length > 0 && (
              <div className="grid gap-3 sm:grid-cols-2">
                <label>
                  Your label
                  <select name="student" className="field" required defaultValue="">
                    <option value="" disabled>
                      choose
                    </option>
                    {labels.map((label) => (
                      <option key={label}>{label}</option>
                    ))}
                  </select>
                </label>
                <label>
                  Your personal code, from the slip
                  <input name="code" className="field font-mono uppercase" autoComplete="off" required />
                </label>
              </div>
            )}
            {problems[""] && (
              <p role="alert" className="border-l-4 border-ochre pl-3 font-semibold">
                {problems[""]}
              </p>
            )}
            <div>
              <button type="submit" className="press press-main" disabled={navigation.state !== "idle"}>
                {navigation.state === "idle" ? "Hand it in" : "Handing it in…"}
              </button>
            </div>
          </section>
        )}
      </Form>
    </main>
  );
}
