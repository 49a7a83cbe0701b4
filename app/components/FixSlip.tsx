import type { Hunk } from "../../core/fixes/hunks.ts";

/** A fix as a person writes it: old lines struck through once, new lines on a slip below. */
export function FixSlip({ hunks }: { hunks: readonly Hunk[] }) {
  return (
    <div className="grid gap-2">
      {hunks.map((hunk) => (
        <div key={`${hunk.start} ${hunk.after.join("")}`} className="script border border-rule">
          {hunk.extra && <p className="note-small px-3">changed along with it, not needed for the fix:</p>}
          {hunk.before.map((text, index) => (
            <div key={index} className="flex">
              <span className="script-number w-10 shrink-0">{hunk.start + index}</span>
              <del className="pl-3 whitespace-pre-wrap">{text.replace(/\r?\n$/, "")}</del>
            </div>
          ))}
          {hunk.after.map((text, index) => (
            <div key={index} className="ml-4 flex bg-slip">
              <ins className="pl-9 whitespace-pre-wrap no-underline">{text.replace(/\r?\n$/, "") || " "}</ins>
            </div>
          ))}
        </div>
      ))}
    </div>
  );
}
