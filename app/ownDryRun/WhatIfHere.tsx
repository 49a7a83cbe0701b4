import { useState } from "react";

/** What if a name held something else before the next line: the rest of the run is made anew, the text stays as it is. */
export function WhatIfHere({
  names,
  line,
  busy,
  onWhatIf,
}: {
  names: readonly string[];
  line: number;
  busy: boolean;
  onWhatIf: (put: { name: string; value: string }) => void;
}) {
  const [name, setName] = useState(names[0] ?? "");
  const [value, setValue] = useState("");
  if (names.length === 0) return null;
  return (
    <details>
      <summary className="link cursor-pointer text-sm">What if …</summary>
      <div className="mt-2 flex flex-wrap items-end gap-2">
        <label className="text-sm">
          Before line {line},
          <select className="field font-mono" value={name} onChange={(event) => setName(event.target.value)}>
            {names.map((each) => (
              <option key={each}>{each}</option>
            ))}
          </select>
        </label>
        <label className="text-sm">
          were
          <input
            className="field w-28 font-mono"
            value={value}
            autoComplete="off"
            onChange={(event) => setValue(event.target.value)}
          />
        </label>
        <button
          type="button"
          className="press text-sm"
          disabled={busy || value.trim() === ""}
          onClick={() => onWhatIf({ name, value: value.trim() })}
        >
          Go on from there
        </button>
      </div>
    </details>
  );
}
