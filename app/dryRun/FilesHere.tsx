import { useFetcher } from "react-router";
import type { FilesAt } from "./changedRun.ts";

/** The files beside the program as they stand at a step, when they are asked for: the run is made once more. Each step has one of its own (key). */
export function FilesHere({ run, step }: { run: { key: string; version: string; check: string }; step: number }) {
  const fetcher = useFetcher<FilesAt>();
  const found = fetcher.data;
  const ask = () =>
    void fetcher.load(`/cases/${run.key}/files-at?version=${run.version}&check=${run.check}&step=${step}`);
  return (
    <div className="mt-2 border-t border-rule pt-2">
      <button type="button" className="press press-quiet" onClick={ask} disabled={fetcher.state !== "idle"}>
        Files beside the program, as they are here
      </button>
      {found && found.why !== "" && <p className="note-small">{found.why}</p>}
      {found && found.why === "" && found.files.length === 0 && <p className="note-small">There are none.</p>}
      {found?.files.map((file) => (
        <figure key={file.name} className="mt-1">
          <figcaption className="text-sm font-semibold">{file.name}</figcaption>
          <pre className="max-h-40 overflow-auto font-mono text-[0.9rem] whitespace-pre-wrap" tabIndex={0}>
            {file.text === "" ? <span className="note-small">It is empty.</span> : file.text}
          </pre>
        </figure>
      ))}
    </div>
  );
}
