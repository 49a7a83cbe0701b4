import { useState } from "react";
import type { Surroundings } from "../../core/cases/surroundings.ts";

/** The files that lie beside the program in a check: with their text, or absent. */
export function FilesBeside({ initial }: { initial: Surroundings }) {
  const [files, setFiles] = useState(() =>
    Object.entries(initial).map(([name, text], id) => ({ id, name, text: text ?? "", absent: text === null })),
  );
  const change = (id: number, part: Partial<(typeof files)[number]>) =>
    setFiles((all) => all.map((file) => (file.id === id ? { ...file, ...part } : file)));
  return (
    <fieldset className="grid gap-2">
      <legend className="font-semibold">Files beside the program</legend>
      {files.map((file, index) => (
        <div key={file.id} className="grid gap-1 border-l-2 border-rule pl-2">
          <div className="flex flex-wrap items-end gap-3">
            <label className="text-sm">
              File name
              <input
                name="fileName"
                className="field"
                required
                value={file.name}
                onChange={(event) => change(file.id, { name: event.target.value })}
              />
            </label>
            <label className="text-sm font-normal">
              <input
                type="checkbox"
                name="fileAbsent"
                value={index}
                checked={file.absent}
                onChange={(event) => change(file.id, { absent: event.target.checked })}
              />{" "}
              is absent
            </label>
            <button
              type="button"
              className="press press-quiet text-sm"
              onClick={() => setFiles((all) => all.filter((each) => each.id !== file.id))}
            >
              Leave it as handed in
            </button>
          </div>
          <label className={file.absent ? "hidden" : "text-sm"}>
            Its text
            <textarea
              name="fileText"
              className="field field-code"
              rows={3}
              spellCheck={false}
              wrap="off"
              value={file.text}
              onChange={(event) => change(file.id, { text: event.target.value })}
            />
          </label>
        </div>
      ))}
      <button
        type="button"
        className="press justify-self-start text-sm"
        onClick={() =>
          setFiles((all) => [
            ...all,
            { id: Math.max(-1, ...all.map((file) => file.id)) + 1, name: "", text: "", absent: false },
          ])
        }
      >
        Add a file
      </button>
    </fieldset>
  );
}
