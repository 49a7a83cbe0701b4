import { useMemo, useState } from "react";
import * as moves from "../../core/trace/moves.ts";

/** The moves of a dry run, as words with their keys; those that lead nowhere from here are switched off. */
export function MoveBar({
  rows,
  done,
  breakpoints,
  only,
  intended,
  stands,
  onGo,
}: {
  rows: moves.Rows;
  done: number;
  breakpoints: ReadonlySet<number>;
  only: moves.Only;
  intended: string | null;
  /** Where the dry run stands, in words. */
  stands: string;
  onGo: (done: number | null) => void;
}) {
  const [pass, setPass] = useState("");
  const [text, setText] = useState("");
  const [said, setSaid] = useState("");
  const count = rows.length;
  const wrong = useMemo(() => (intended === null ? null : moves.toFirstWrong(rows, intended)), [rows, intended]);
  const crash = useMemo(() => moves.toCrash(rows), [rows]);
  const into = moves.into(rows, done);
  const deep = (rows[done]?.depth ?? 0) > 0;
  const toPass = () => {
    const to = moves.toPass(rows, pass.trim());
    setSaid(to === null ? `There is no pass ${pass.trim()}.` : "");
    onGo(to);
  };
  const toText = () => {
    const to = moves.toText(rows, done, text);
    setSaid(to === null ? `“${text.trim()}” stands in no row.` : "");
    onGo(to);
  };
  return (
    <div className="grid gap-2">
      <div className="flex flex-wrap items-center gap-2">
        <button type="button" className="press" onClick={() => onGo(done - 1)} disabled={done === 0}>
          Back <kbd className="text-xs">B</kbd>
        </button>
        <button type="button" className="press press-main" onClick={() => onGo(done + 1)} disabled={done === count}>
          Next line <kbd className="text-xs">N</kbd>
        </button>
        <button type="button" className="press" onClick={() => onGo(into)} disabled={into === null}>
          Step into <kbd className="text-xs">I</kbd>
        </button>
        <button type="button" className="press" onClick={() => onGo(moves.over(rows, done))} disabled={done === count}>
          Step over <kbd className="text-xs">V</kbd>
        </button>
        <button type="button" className="press" onClick={() => onGo(moves.out(rows, done))} disabled={!deep}>
          Step out <kbd className="text-xs">O</kbd>
        </button>
        <button
          type="button"
          className="press"
          onClick={() => onGo(moves.toBreakpoint(rows, done, breakpoints, only))}
          disabled={done === count || breakpoints.size === 0}
        >
          To next breakpoint <kbd className="text-xs">P</kbd>
        </button>
        <span className="note-small" role="status">
          {said || stands}
        </span>
      </div>
      <div className="flex flex-wrap items-center gap-2">
        <form
          className="flex items-center gap-1"
          onSubmit={(event) => {
            event.preventDefault();
            toPass();
          }}
        >
          <label className="inline-flex flex-row items-center gap-1 text-sm font-normal">
            <span>Pass</span>
            <input
              className="field w-16"
              value={pass}
              placeholder="3"
              onChange={(event) => setPass(event.target.value)}
            />
          </label>
          <button type="submit" className="press press-quiet" disabled={pass.trim() === ""}>
            To this pass
          </button>
        </form>
        <form
          className="flex items-center gap-1"
          onSubmit={(event) => {
            event.preventDefault();
            toText();
          }}
        >
          <label className="inline-flex flex-row items-center gap-1 text-sm font-normal">
            <span>Find</span>
            <input className="field w-28" value={text} onChange={(event) => setText(event.target.value)} />
          </label>
          <button type="submit" className="press press-quiet" disabled={text.trim() === ""}>
            In the table
          </button>
        </form>
        {wrong !== null && (
          <button type="button" className="press press-quiet" onClick={() => onGo(wrong)}>
            To the first wrong output
          </button>
        )}
        {crash !== null && (
          <button type="button" className="press press-quiet" onClick={() => onGo(crash)}>
            To where it was stopped
          </button>
        )}
        <button type="button" className="press press-quiet" onClick={() => onGo(0)}>
          To the start
        </button>
        <button type="button" className="press press-quiet" onClick={() => onGo(count)}>
          To the end
        </button>
      </div>
    </div>
  );
}
