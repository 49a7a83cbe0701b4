import { useFetcher } from "react-router";
import type { Reply } from "../actions.ts";
import { Said, settled } from "../components/Said.tsx";
import { UserSteps } from "../components/UserSteps.tsx";
import type { CaseView } from "./caseView.ts";
import { Revision } from "./Revision.tsx";

/** What the student wrote and pasted, as it was handed in, and a note of the teacher's. */
export function HandedIn({ view }: { view: CaseView }) {
  const fetcher = useFetcher<Reply>();
  const said = [
    ["What it is for", view.intent],
    ["What it did instead", view.instead],
    ["Comes from", view.source],
    ["Changed last", view.changedLast],
  ].filter(([, text]) => text);
  return (
    <section className="leaf grid gap-2 p-3" aria-label="As handed in">
      {said.map(([title, text]) => (
        <p key={title}>
          <strong>{title}:</strong> {text}
        </p>
      ))}
      <UserSteps title={<strong>What the user did:</strong>} steps={view.userActions} />
      {view.cameOut && (
        <div>
          <strong>What came out, by the word of who handed it in:</strong>
          <pre className="max-h-48 overflow-auto border border-rule px-2 text-sm whitespace-pre-wrap" tabIndex={0}>
            {view.cameOut}
          </pre>
        </div>
      )}
      {view.onlyRead && <p>It is only read, never run.</p>}
      {view.additions.map((addition, index) => (
        <p key={`${index}${addition}`}>
          <strong>Added by the student:</strong> {addition}
        </p>
      ))}
      {view.outputs.map((output) => (
        <details key={output.key}>
          <summary className="cursor-pointer font-semibold text-steel-deep">
            Error output{output.origin ? ` from ${output.origin}` : ""}, version {output.version}, as pasted
          </summary>
          <pre className="text-sm wrap-anywhere whitespace-pre-wrap">{output.text}</pre>
          {output.cut > 0 && <p className="note-small">{output.cut} more characters are kept and not shown.</p>}
        </details>
      ))}
      <details>
        <summary className="cursor-pointer font-semibold text-steel-deep">Add an output of another tool</summary>
        <fetcher.Form method="post" className="mt-1 grid gap-2">
          <input type="hidden" name="intent" value="add output" />
          <Revision />
          <label>
            Which tool said it
            <input name="origin" className="field" placeholder="another compiler, an editor’s list …" />
          </label>
          <label>
            What it said
            <textarea
              name="text"
              className="field field-code overflow-auto"
              rows={3}
              wrap="off"
              spellCheck={false}
              required
            />
          </label>
          <div>
            <button className="press" type="submit">
              Keep it beside the others
            </button>
          </div>
        </fetcher.Form>
      </details>
      <Description view={view} />
      {view.assignments.length > 0 && <WrittenFor view={view} />}
      <fetcher.Form method="post" className="grid gap-1">
        <input type="hidden" name="intent" value="note" />
        <Revision />
        <label>
          Your note
          <textarea
            key={view.note}
            name="note"
            className="field"
            rows={1}
            defaultValue={view.note}
            onBlur={(event) => event.target.value !== view.note && event.target.form?.requestSubmit()}
          />
        </label>
      </fetcher.Form>
      <Said reply={settled(fetcher)} />
    </section>
  );
}

/** Which assignment the program was written for. */
function WrittenFor({ view }: { view: CaseView }) {
  const fetcher = useFetcher<Reply>();
  return (
    <fetcher.Form method="post">
      <input type="hidden" name="intent" value="assignment" />
      <Revision />
      <label>
        Written for
        <select
          key={view.revision}
          name="assignment"
          className="field"
          defaultValue={view.assignment ?? ""}
          onChange={(event) => event.target.form?.requestSubmit()}
        >
          <option value="">no assignment</option>
          {view.assignments.map((each) => (
            <option key={each.key} value={each.key}>
              {each.title}
            </option>
          ))}
        </select>
      </label>
      <Said reply={settled(fetcher)} />
    </fetcher.Form>
  );
}

/** What is said about the case, to be changed. */
function Description({ view }: { view: CaseView }) {
  const fetcher = useFetcher<Reply>();
  return (
    <details>
      <summary className="cursor-pointer font-semibold text-steel-deep">
        Title, purpose, student, language, user’s steps
      </summary>
      <fetcher.Form key={view.revision} method="post" className="mt-1 grid gap-2">
        <input type="hidden" name="intent" value="describe" />
        <Revision />
        <label>
          Title
          <input name="title" className="field" defaultValue={view.title} required />
        </label>
        <label>
          What the program is for
          <textarea name="purpose" className="field" rows={2} defaultValue={view.intent} />
        </label>
        <div className="grid gap-2 sm:grid-cols-2">
          <label>
            Student
            <select name="student" className="field" defaultValue={view.student}>
              <option value="">nobody named</option>
              {view.students.map((student) => (
                <option key={student.key} value={student.key}>
                  {student.label}
                </option>
              ))}
            </select>
          </label>
          <label>
            Language
            <select name="language" className="field" defaultValue={view.languageId}>
              {view.languages.map((language) => (
                <option key={language.id} value={language.id}>
                  {language.name}
                </option>
              ))}
            </select>
          </label>
        </div>
        <label>
          What the user did, a step a line
          <textarea
            name="userActions"
            className="field"
            rows={Math.max(2, view.userActions.length)}
            defaultValue={view.userActions.join("\n")}
          />
        </label>
        <label>
          Where it comes from
          <input name="source" className="field" defaultValue={view.source} />
        </label>
        <label className="font-normal">
          <input type="checkbox" name="onlyRead" defaultChecked={view.onlyRead} /> only read it, never run it
        </label>
        <div>
          <button className="press" type="submit">
            Keep
          </button>
        </div>
        <Said reply={settled(fetcher)} />
      </fetcher.Form>
    </details>
  );
}
