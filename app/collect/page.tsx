import { type DragEvent, useEffect, useRef, useState } from "react";
import { Link, useNavigate } from "react-router";
import { listOpenCollections } from "../../server/collect/collectionStore.ts";
import type { TakenSet } from "../../server/collect/takeSet.ts";
import { listCourses } from "../../server/people/courseStore.ts";
import type { Route } from "./+types/page.ts";
import { type DroppedFile, filesOfDrop, filesOfInput } from "./dropped.ts";

export const meta: Route.MetaFunction = () => [{ title: "Collect a class · Bent Nail" }];

export async function loader({ context }: Route.LoaderArgs) {
  const { database } = context.services;
  return { courses: await listCourses(database), open: await listOpenCollections(database) };
}

export default function Collect({ loaderData }: Route.ComponentProps) {
  const { courses, open } = loaderData;
  const [course, setCourse] = useState(courses[0]?.key ?? "");
  const [state, setState] = useState<{ words: string; working: boolean }>({ words: "", working: false });
  const sending = useRef<XMLHttpRequest | null>(null);
  const folder = useRef<HTMLInputElement>(null);
  const navigate = useNavigate();
  useEffect(() => folder.current?.setAttribute("webkitdirectory", ""), []);

  const send = (files: readonly DroppedFile[]) => {
    if (files.length === 0) return setState({ words: "There is nothing in it.", working: false });
    const form = new FormData();
    form.set("course", course);
    for (const { path, file } of files) {
      form.append("path", path);
      form.append("file", file, file.name);
    }
    const request = new XMLHttpRequest();
    sending.current = request;
    request.open("POST", "/collect-take");
    request.responseType = "text";
    request.upload.onprogress = (event) =>
      setState({
        words:
          event.loaded < event.total
            ? `Sending: ${Math.round((100 * event.loaded) / event.total)} %`
            : `Reading ${files.length === 1 ? files[0]?.path : `${files.length} files`}…`,
        working: true,
      });
    request.onload = () => {
      const answer = JSON.parse(request.responseText) as TakenSet;
      if (answer.ok) void navigate(`/collect/${answer.key}`);
      else setState({ words: answer.message, working: false });
    };
    request.onerror = () =>
      setState({ words: "The server did not answer. Nothing was taken; try again.", working: false });
    request.onabort = () => setState({ words: "Stopped. Nothing was taken.", working: false });
    setState({ words: "Sending…", working: true });
    request.send(form);
  };
  const onDrop = async (event: DragEvent) => {
    event.preventDefault();
    if (!state.working) send(await filesOfDrop(event.dataTransfer));
  };

  return (
    <div className="grid max-w-3xl gap-4">
      <h1>Collect a class</h1>
      <p>
        Drop a zip, a folder or many files. Each program becomes a case; error outputs are paired with their programs,
        and students are found in the names. You look through it all in one table before anything is kept.
      </p>
      {courses.length === 0 ? (
        <p className="leaf p-4">
          There is no course yet.{" "}
          <Link className="link" to="/courses">
            Make one first
          </Link>
          , with the students’ labels.
        </p>
      ) : (
        <section
          className="leaf grid gap-3 p-4"
          aria-label="What to collect"
          onDrop={(event) => void onDrop(event)}
          onDragOver={(event) => event.preventDefault()}
        >
          <label className="max-w-md">
            For the course
            <select className="field" value={course} onChange={(event) => setCourse(event.target.value)}>
              {courses.map((each) => (
                <option key={each.key} value={each.key}>
                  {each.name}
                </option>
              ))}
            </select>
          </label>
          <div className="grid gap-3 border-2 border-dashed border-rule-strong p-6 text-center">
            <p className="text-lg">Drop it here</p>
            <p className="flex flex-wrap justify-center gap-4">
              <label className="press cursor-pointer focus-within:outline-2">
                Choose a zip or files
                <input
                  type="file"
                  multiple
                  className="sr-only"
                  disabled={state.working}
                  onChange={(event) => send(filesOfInput(event.target.files))}
                />
              </label>
              <label className="press cursor-pointer focus-within:outline-2">
                Choose a folder
                <input
                  ref={folder}
                  type="file"
                  multiple
                  className="sr-only"
                  disabled={state.working}
                  onChange={(event) => send(filesOfInput(event.target.files))}
                />
              </label>
            </p>
            <p className="note-small">
              Up to 60 MB, 3000 files of 2 MB. Outputs may be .txt, .log, .out or .err files, or stand at the end of the
              program.
            </p>
          </div>
          <div className="flex min-h-9 items-center gap-4">
            <p role="status">{state.words}</p>
            {state.working && (
              <button type="button" className="press" onClick={() => sending.current?.abort()}>
                Stop
              </button>
            )}
          </div>
        </section>
      )}
      {open.length > 0 && (
        <section aria-labelledby="open-title">
          <h2 id="open-title">Not taken in yet</h2>
          <ul className="leaf divide-y divide-rule">
            {open.map((each) => (
              <li key={each.key} className="px-3 py-2">
                <Link className="link" to={`/collect/${each.key}`}>
                  {each.name}
                </Link>{" "}
                <span className="note-small">{each.files} files</span>
              </li>
            ))}
          </ul>
        </section>
      )}
    </div>
  );
}
