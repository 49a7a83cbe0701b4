import { useState } from "react";
import { readWay } from "../../core/languages/pseudocode/way.ts";
import { useTryHere } from "./useTryHere.ts";

/** A program in pseudocode run in the browser with whatever is typed in; nothing of it is kept. */
export function TryHere({ program, way }: { program: string; way: string }) {
  const [input, setInput] = useState("");
  const { tried, run, stop } = useTryHere();
  const { equalsAssigns, namesBefore } = readWay(way);
  return (
    <section aria-label="Try it here" className="grid gap-2">
      <label className="text-sm">
        Try it with this typed in, a line each
        <textarea
          className="field font-mono"
          rows={2}
          value={input}
          onChange={(event) => setInput(event.currentTarget.value)}
        />
      </label>
      <div className="flex flex-wrap items-baseline gap-3">
        <button
          type="button"
          className="press"
          onClick={() => run({ program, input, rules: { equalsAssigns, namesBefore } })}
        >
          Run it here
        </button>
        {tried.state === "running" && (
          <button type="button" className="press press-quiet" onClick={stop}>
            Stop it
          </button>
        )}
        <span role="status" className="note-small">
          {tried.state === "running" && "It runs in your browser."}
          {tried.state === "stopped" && "It was ended: it took more than 5 seconds, or you stopped it."}
          {tried.state === "ended" &&
            (tried.finished
              ? "It ended by itself. Nothing of this is kept."
              : tried.inputRanOut
                ? "It asked for more than was typed in."
                : "It stopped.")}
        </span>
      </div>
      {tried.state === "ended" && (
        <section aria-label="What came out">
          <pre className="border border-rule p-2 text-sm break-words whitespace-pre-wrap">{tried.text}</pre>
        </section>
      )}
    </section>
  );
}
