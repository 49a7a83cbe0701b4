import { type KeyboardEvent, useRef, useState } from "react";
import { Link } from "react-router";
import type { Hunk } from "../../core/fixes/hunks.ts";
import type { Stretch } from "../../core/source/lineStyles.ts";
import { BentNail, Chevron, PaperTab, PenNib } from "./marks.tsx";

/** A note pinned to a line (1-based). */
export type LineNote = {
  line: number;
  kind: "hidden" | "structure";
  text: string /** An address that tells more. */;
  to?: string;
};

export type ScriptProps = {
  /** The lines without their ends. */
  lines: readonly string[];
  label: string;
  /** 1-based number shown at the first line; fragments may start above 1. */
  firstNumber?: number;
  notes?: readonly LineNote[];
  faulty?: ReadonlySet<number>;
  reported?: number | null;
  /** How deep brackets and blocks are nested at each line's end; shown beside the numbers where given. */
  depths?: readonly number[];
  /** The line about to run in a dry run. */
  next?: number | null;
  /** Lines with a paper tab: breakpoints. Where they are given, picking a line sets or takes one. */
  tabs?: ReadonlySet<number>;
  /** Every line in stretches of weight and slant. */
  styles?: ReadonlyArray<readonly Stretch[]> | undefined;
  /** The line that is looked at, and lines that are switched off, where a fault is narrowed down; picking chooses a line then. */
  chosen?: number | null;
  off?: ReadonlySet<number>;
  /** The line that whoever reads has put a pen beside; picking a line puts it there. */
  pen?: number | null;
  /** The line that is named first. */
  named?: number | null;
  /** A change as a slip on the script: old lines struck through, new ones below them. Line numbers are 1-based. */
  slip?: readonly Hunk[] | undefined;
  /** What is said beside a line, on a slip over its end. */
  beside?: { line: number; text: string } | null;
  /** Called with the 1-based line that is pointed at or has the focus; null where none is. */
  onLook?: (line: number | null) => void;
  /** Called with a 1-based line that the person picked by pointer or key; absent: lines cannot be picked. */
  onPick?: (line: number) => void;
  pickHint?: string;
};

/** Lines drawn at once; a longer program is shown in parts, so that the page stays quick. */
const drawn = 1200;

const kindClasses = {
  keyword: "script-keyword",
  comment: "script-comment",
  text: "script-quoted",
  open: "script-open",
} as const;

/** A piece of a line from an offset on, in its stretches, each in its weight and slant. */
function Styled({ stretches, from, to }: { stretches: readonly Stretch[]; from: number; to: number }) {
  let at = 0;
  return stretches.map((stretch) => {
    const begins = at;
    at += stretch.text.length;
    const text = stretch.text.slice(Math.max(0, from - begins), Math.max(0, to - begins));
    if (text === "") return null;
    return stretch.kind ? (
      <span key={begins} className={kindClasses[stretch.kind]}>
        {text}
      </span>
    ) : (
      text
    );
  });
}

/** The text of a line: blanks at its end, which matter and are otherwise not seen, as signs. */
function LineText({ text, stretches }: { text: string; stretches?: readonly Stretch[] | undefined }) {
  const inner = text.trimStart();
  const own = inner.trimEnd();
  const end = inner.slice(own.length);
  const from = text.length - inner.length;
  return (
    <>
      {text.slice(0, from)}
      <span className="script-own">
        {own === "" ? " " : stretches ? <Styled stretches={stretches} from={from} to={from + own.length} /> : own}
      </span>
      {end !== "" && (
        <span className="text-graphite" title="blanks at the end of the line">
          {end.replaceAll(" ", "·").replaceAll("\t", "→   ")}
        </span>
      )}
    </>
  );
}

/** A program as a listing on paper: marks and numbers on the left, notes pinned to their lines on the right. */
export function Script({
  lines,
  label,
  firstNumber = 1,
  notes = [],
  faulty,
  reported,
  depths,
  next,
  tabs,
  chosen,
  off,
  styles,
  pen,
  named,
  slip = [],
  beside = null,
  onLook,
  onPick,
  pickHint,
}: ScriptProps) {
  const [at, setAt] = useState(Math.min(Math.max(1, named ?? reported ?? 1), Math.max(1, lines.length)));
  const list = useRef<HTMLOListElement>(null);
  const [part, setPart] = useState(Math.floor((at - 1) / drawn));
  const first = lines.length > drawn ? part * drawn : 0;
  const last = Math.min(lines.length, first + drawn);
  const withNotes = notes.length > 0;

  const moveTo = (line: number) => {
    const target = Math.min(Math.max(1, line), lines.length);
    setAt(target);
    list.current?.querySelector<HTMLElement>(`[data-line="${target}"]`)?.focus();
  };
  const onKey = (event: KeyboardEvent) => {
    const moves: Record<string, number> = { ArrowDown: at + 1, ArrowUp: at - 1, Home: 1, End: lines.length };
    const target = moves[event.key];
    if (target !== undefined) {
      event.preventDefault();
      moveTo(target);
    } else if (onPick && (event.key === "Enter" || event.key === " ")) {
      event.preventDefault();
      onPick(at);
    }
  };

  const listing = (
    <ol ref={list} className={`script ${withNotes ? "script-with-notes" : ""}`} aria-label={label}>
      {lines.slice(first, last).map((text, offset) => {
        const index = first + offset;
        const line = index + 1;
        const marks = [
          reported === line ? "the tool names this line" : "",
          faulty?.has(line) ? "faulty line" : "",
          next === line ? "about to run" : "",
          pen === line ? "your pen" : "",
          named === line ? "look here first" : "",
          tabs?.has(line) ? "breakpoint" : "",
          off?.has(line) ? "switched off" : "",
          chosen === line ? "chosen" : "",
        ].filter((part) => part);
        const own = notes.filter((note) => note.line === line);
        const content = (
          <>
            <span className="flex justify-end gap-0.5 pr-1">
              {tabs?.has(line) && <PaperTab />}
              {(next === line || pen === line) && <PenNib />}
              {faulty?.has(line) && <BentNail />}
              {reported === line && !faulty?.has(line) && <Chevron />}
            </span>
            <span className="script-number">
              {depths && (
                <span className="mr-1 text-xs text-graphite" title="depth of brackets and blocks at the line's end">
                  {"›".repeat(Math.min(6, depths[index] ?? 0))}
                  {(depths[index] ?? 0) > 6 ? depths[index] : ""}
                </span>
              )}
              {firstNumber + index}
            </span>
            <span className="script-text text-left">
              <LineText text={text} stretches={styles?.[index]} />
            </span>
          </>
        );
        const struck =
          off?.has(line) || slip.some((hunk) => line >= hunk.start && line < hunk.start + hunk.before.length);
        const state = `script-line ${struck ? "script-struck" : ""} ${named === line || chosen === line ? "script-line-named" : ""} ${faulty?.has(line) ? "script-line-faulty" : ""} ${next === line || pen === line ? "script-line-next" : ""}`;
        const name = `line ${firstNumber + index}${marks.length ? `, ${marks.join(", ")}` : ""}: ${text.trim() || "blank"}`;
        const before = slip.filter((hunk) => hunk.before.length === 0 && hunk.start === line);
        const behind = slip.filter((hunk) =>
          hunk.before.length > 0
            ? hunk.start + hunk.before.length - 1 === line
            : line === lines.length && hunk.start > line,
        );
        return [
          ...before.map((hunk) => <SlipRows key={`before ${hunk.start}`} hunk={hunk} />),
          <li
            key={index}
            id={`line-${line}`}
            tabIndex={-1}
            className={state}
            onPointerEnter={onLook && (() => onLook(line))}
            onPointerLeave={onLook && (() => onLook(null))}
          >
            {onPick ? (
              <button
                type="button"
                data-line={line}
                className="col-span-3 grid cursor-pointer grid-cols-subgrid hover:bg-slip"
                tabIndex={line === at ? 0 : -1}
                aria-label={name}
                aria-pressed={
                  pen === undefined
                    ? chosen === undefined
                      ? ((tabs ?? faulty)?.has(line) ?? false)
                      : chosen === line
                    : pen === line
                }
                title={pickHint}
                onClick={() => {
                  setAt(line);
                  onPick(line);
                }}
                onKeyDown={onKey}
                onFocus={() => {
                  setAt(line);
                  onLook?.(line);
                }}
                onBlur={onLook && (() => onLook(null))}
              >
                {content}
              </button>
            ) : (
              <div className="col-span-3 grid grid-cols-subgrid" data-line={line}>
                {marks.length > 0 && <span className="sr-only">{marks.join(", ")}</span>}
                {content}
              </div>
            )}
            {beside?.line === line && (
              <span aria-hidden="true" className="script-beside">
                {beside.text}
              </span>
            )}
            {withNotes && <LineNotes notes={own} />}
          </li>,
          ...behind.map((hunk) => <SlipRows key={`behind ${hunk.start}`} hunk={hunk} />),
        ];
      })}
    </ol>
  );
  if (lines.length <= drawn) return listing;
  return (
    <>
      {listing}
      <nav aria-label="Parts of the program" className="flex items-baseline gap-4 px-3 pt-2">
        <button type="button" className="press press-quiet" disabled={part === 0} onClick={() => setPart(part - 1)}>
          Earlier lines
        </button>
        <span className="note-small">
          lines {first + 1} to {last} of {lines.length}
        </span>
        <button
          type="button"
          className="press press-quiet"
          disabled={last === lines.length}
          onClick={() => setPart(part + 1)}
        >
          Later lines
        </button>
      </nav>
    </>
  );
}

/** The new lines of a change, on a slip. */
function SlipRows({ hunk }: { hunk: Hunk }) {
  return (
    <li className="bg-slip" aria-label={`proposed in the place of line ${hunk.start}`}>
      {hunk.after.map((text, index) => (
        <div key={index} className="script-line">
          <span />
          <span className="script-number">+</span>
          <ins className="script-text no-underline">{text.replace(/\r?\n$/, "") || " "}</ins>
        </div>
      ))}
    </li>
  );
}

const noteWords: Record<LineNote["kind"], string> = {
  hidden: "warning hidden",
  structure: "pairs",
};

/** The notes of a line, on one line of their own whatever they hold; the whole is shown by pointing, and read out. */
function LineNotes({ notes }: { notes: readonly LineNote[] }) {
  if (notes.length === 0) return <span />;
  const text = notes.map((note) => `${noteWords[note.kind]}: ${note.text}`).join("; ");
  const to = notes.find((note) => note.to)?.to;
  return (
    <p className="flex border-l-2 border-rule-strong px-2 font-sans text-[0.82rem] whitespace-nowrap" title={text}>
      <span className="overflow-hidden text-ellipsis">{text}</span>
      {to && (
        <Link className="link ml-1" to={to} preventScrollReset>
          taken apart
        </Link>
      )}
    </p>
  );
}
