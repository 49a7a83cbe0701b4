import { useState } from "react";
import { useFetcher } from "react-router";
import type { Reply } from "../actions.ts";
import { Said } from "../components/Said.tsx";
import type { AssignmentView } from "./assignmentView.ts";
import { Revision } from "./Revision.tsx";

type ModelShown = AssignmentView["models"][number];

/** Programs that do what is asked, each with what its runs prove. */
export function ModelsPart({ view }: { view: AssignmentView }) {
  const fetcher = useFetcher<Reply>();
  const [adding, setAdding] = useState(false);
  const busy = fetcher.state !== "idle";
  return (
    <section className="leaf grid gap-3 p-3" aria-label="Model programs">
      <h2 className="text-base">Model programs</h2>
      {view.models.length === 0 && (
        <p>
          A model does what is asked. Run for any input it gives the intended output; you look at it once and confirm
          it. Students never see it. Without one, checks are written by hand.
        </p>
      )}
      {view.models.map((model) => (
        <Model key={model.key} model={model} view={view} fetcher={fetcher} />
      ))}
      {adding || view.models.length === 0 ? (
        <ModelForm view={view} fetcher={fetcher} />
      ) : (
        <div className="flex flex-wrap gap-3">
          <button type="button" className="press" onClick={() => setAdding(true)}>
            Add another model
          </button>
          {view.models.some((model) => !model.ran) && (
            <fetcher.Form method="post">
              <Revision />
              <button className="press" name="intent" value="run models" type="submit" disabled={busy}>
                Run them under every check
              </button>
            </fetcher.Form>
          )}
        </div>
      )}
      {busy && <p role="status">The models are run…</p>}
      {!busy && <Said reply={fetcher.data} />}
    </section>
  );
}

function Model({
  model,
  view,
  fetcher,
}: {
  model: ModelShown;
  view: AssignmentView;
  fetcher: ReturnType<typeof useFetcher<Reply>>;
}) {
  const fails = model.cells.filter((cell) => cell.passes === false);
  const passes = model.cells.filter((cell) => cell.passes === true).length;
  const nameOf = (key: string) => view.checks.find((check) => check.key === key)?.name || "a check";
  return (
    <article className="grid gap-1 border-l-4 border-rule-strong pl-3">
      <h3 className="flex flex-wrap items-baseline gap-2">
        {model.name}{" "}
        <span className="note-small font-normal">
          {model.language}
          {model.files > 1 && `, ${model.files} files`}
        </span>
      </h3>
      <p>
        {fails.length > 0
          ? `It fails ${fails.length} of ${model.cells.length} checks, so it is not used.`
          : passes > 0
            ? `Proven: it passes ${passes === model.cells.length ? `all ${passes}` : `${passes} of ${model.cells.length}`} checks.`
            : "No check has been run with it yet."}
      </p>
      {fails.length > 0 && (
        <ul className="note-small list-disc pl-5">
          {fails.map((cell) => (
            <li key={cell.check}>
              {nameOf(cell.check)}: {cell.words}.
            </li>
          ))}
        </ul>
      )}
      <details>
        <summary className="cursor-pointer text-sm font-semibold text-steel-deep">Its text</summary>
        <pre className="max-h-72 overflow-auto border border-rule bg-leaf px-2 text-sm" tabIndex={0}>
          {model.text}
        </pre>
        <fetcher.Form method="post">
          <Revision />
          <input type="hidden" name="key" value={model.key} />
          <button className="press press-quiet text-sm" name="intent" value="remove model" type="submit">
            Take this model away
          </button>
        </fetcher.Form>
      </details>
    </article>
  );
}

function ModelForm({ view, fetcher }: { view: AssignmentView; fetcher: ReturnType<typeof useFetcher<Reply>> }) {
  const [text, setText] = useState("");
  const [name, setName] = useState("");
  const take = async (file: File | undefined) => {
    if (!file) return;
    setText(await file.text());
    setName(file.name);
  };
  return (
    <fetcher.Form method="post" className="grid gap-2">
      <input type="hidden" name="intent" value="add model" />
      <Revision />
      <div className="grid grid-cols-2 gap-3">
        <label>
          Language
          <select name="language" className="field" defaultValue={view.languages[0] ?? "python"}>
            {view.known.map((language) => (
              <option key={language.id} value={language.id}>
                {language.name}
              </option>
            ))}
          </select>
        </label>
        <label>
          Name of its file
          <input
            name="name"
            className="field font-mono"
            value={name}
            onChange={(event) => setName(event.target.value)}
          />
        </label>
      </div>
      <div>
        <div className="flex flex-wrap items-baseline justify-between gap-2">
          <label htmlFor="model-text">The model</label>
          <label className="link cursor-pointer text-sm focus-within:outline-2">
            Choose its file
            <input type="file" className="sr-only" onChange={(event) => void take(event.target.files?.[0])} />
          </label>
        </div>
        <textarea
          id="model-text"
          name="text"
          className="field field-code overflow-auto"
          rows={7}
          wrap="off"
          spellCheck={false}
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
      </div>
      <div>
        <button className="press press-main" type="submit" disabled={fetcher.state !== "idle"}>
          Add it and run it
        </button>
      </div>
    </fetcher.Form>
  );
}
