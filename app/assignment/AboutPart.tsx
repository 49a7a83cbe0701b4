import { useFetcher } from "react-router";
import type { Reply } from "../actions.ts";
import { Said, settled } from "../components/Said.tsx";
import type { AssignmentView } from "./assignmentView.ts";
import { ComparisonFields } from "./ComparisonFields.tsx";
import { Revision } from "./Revision.tsx";

/** What the assignment says: title, statement, languages, how outputs are compared, what students begin with. */
export function AboutPart({ view }: { view: AssignmentView }) {
  const fetcher = useFetcher<Reply>();
  const starter = useFetcher<Reply>();
  return (
    <section className="leaf grid gap-3 p-3" aria-label="What it says">
      <fetcher.Form key={view.revision} method="post" className="grid gap-3">
        <input type="hidden" name="intent" value="about" />
        <Revision />
        <label>
          Title
          <input name="title" className="field" required maxLength={200} defaultValue={view.title} />
        </label>
        <label>
          Statement <span className="note-small font-normal">students read it where they hand in</span>
          <textarea name="statement" className="field" rows={5} defaultValue={view.statement} />
        </label>
        <fieldset>
          <legend>Languages</legend>
          <div className="flex flex-wrap gap-x-4">
            {view.known.map((language) => (
              <label key={language.id} className="font-normal">
                <input
                  type="checkbox"
                  name="languages"
                  value={language.id}
                  defaultChecked={view.languages.includes(language.id)}
                />{" "}
                {language.name}
              </label>
            ))}
          </div>
        </fieldset>
        <details>
          <summary className="cursor-pointer font-semibold text-steel-deep">How outputs are compared</summary>
          <ul className="note-small my-2 list-disc pl-5">
            {view.comparisonWords.map((words) => (
              <li key={words}>{words}</li>
            ))}
          </ul>
          <ComparisonFields comparison={view.comparison} />
        </details>
        <div className="flex flex-wrap items-baseline gap-3">
          <button className="press press-main" type="submit">
            Keep
          </button>
          <Said reply={settled(fetcher)} />
        </div>
      </fetcher.Form>
      <details>
        <summary className="cursor-pointer font-semibold text-steel-deep">
          What students begin with{view.starter ? `: ${view.starter.name}` : ": nothing"}
        </summary>
        <starter.Form key={view.revision} method="post" className="mt-2 grid gap-2">
          <input type="hidden" name="intent" value="starter" />
          <Revision />
          <label>
            Name of the file
            <input name="name" className="field font-mono" defaultValue={view.starter?.name ?? ""} />
          </label>
          <label>
            Its text; empty for nothing
            <textarea
              name="text"
              className="field field-code overflow-auto"
              rows={5}
              wrap="off"
              spellCheck={false}
              defaultValue={view.starter?.text ?? ""}
            />
          </label>
          <div className="flex flex-wrap items-baseline gap-3">
            <button className="press" type="submit">
              Keep the starter
            </button>
            <Said reply={settled(starter)} />
          </div>
        </starter.Form>
      </details>
    </section>
  );
}
