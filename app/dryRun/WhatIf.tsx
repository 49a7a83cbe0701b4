import { useState } from "react";
import { Form } from "react-router";

/**
 * What if a variable had another value here, or a file beside the program were altered or taken away: the rest of the run is made beside
 * the real one. The program's text is not touched.
 */
export function WhatIf({
  run,
  step,
  line,
  names,
  waits,
}: {
  run: { key: string; version: string; check: string; changes: string | null; files: readonly string[] };
  /** The recorded step that is about to run. */
  step: number;
  line: number;
  /** Names that can be given a value. */
  names: readonly string[];
  /** True where the line waits for input. */
  waits: boolean;
}) {
  const [gone, setGone] = useState(false);
  return (
    <section className="leaf grid gap-2 p-3" aria-label="What if">
      <h2 className="text-base">What if</h2>
      {run.changes !== null ? (
        <p className="note-small">{run.changes}</p>
      ) : (
        <>
          <p className="note-small">
            Before line {line} runs{waits && " (the program waits for input there)"}; the rest of the run is made beside
            the real one, and the text stays as it is.
          </p>
          <Form className="flex flex-wrap items-end gap-2" action={`/cases/${run.key}/beside`}>
            <Sides run={run} step={step} />
            <label className="text-sm">
              Variable
              <input name="name" className="field w-32 font-mono" list="what-if-names" required autoComplete="off" />
              <datalist id="what-if-names">
                {names.map((name) => (
                  <option key={name} value={name} />
                ))}
              </datalist>
            </label>
            <label className="text-sm">
              is
              <input name="value" className="field w-32 font-mono" required autoComplete="off" />
            </label>
            <button type="submit" className="press press-quiet">
              Run on from here
            </button>
          </Form>
          <details open={waits || undefined}>
            <summary className="link text-sm">A file beside the program changes meanwhile</summary>
            <Form className="mt-2 flex flex-wrap items-end gap-2" action={`/cases/${run.key}/beside`}>
              <Sides run={run} step={step} />
              <label className="text-sm">
                File
                <input name="file" className="field w-40 font-mono" list="what-if-files" required autoComplete="off" />
                <datalist id="what-if-files">
                  {run.files.map((name) => (
                    <option key={name} value={name} />
                  ))}
                </datalist>
              </label>
              <label className="text-sm font-normal">
                <input
                  type="checkbox"
                  name="gone"
                  value="yes"
                  checked={gone}
                  onChange={(event) => setGone(event.target.checked)}
                />{" "}
                is taken away
              </label>
              {!gone && (
                <label className="w-full text-sm">
                  holds this now
                  <textarea name="text" className="field w-full font-mono" rows={2} />
                </label>
              )}
              <button type="submit" className="press press-quiet">
                Run on with this file
              </button>
            </Form>
          </details>
        </>
      )}
    </section>
  );
}

/** The same version and input on both sides; the right one is changed. */
function Sides({ run, step }: { run: { version: string; check: string }; step: number }) {
  const fields = { left: run.version, leftCheck: run.check, right: run.version, rightCheck: run.check };
  return (
    <>
      {Object.entries({ ...fields, step: String(step) }).map(([name, value]) => (
        <input key={name} type="hidden" name={name} value={value} />
      ))}
    </>
  );
}
