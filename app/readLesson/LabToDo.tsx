import { useId, useState } from "react";
import type { ShownPart } from "../../server/lessons/lessonView.ts";
import { useClassWords } from "../components/marks.tsx";
import { Script } from "../components/Script.tsx";
import { CameWords } from "../lessons/CameWords.tsx";
import { type Guess, guesses, type LabRow, labReplySchema } from "./labReply.ts";
import { useKeptRows } from "./useKeptRows.ts";

type LabPart = Extract<ShownPart, { kind: "lab" }>;
type Lab = NonNullable<LabPart["shows"]>;

/** A program with another text in one of its lines (1-based). */
export function withLine(program: string, line: number, text: string): string {
  const ended = program.split(/(?<=\n)/);
  return ended.map((each, at) => (at === line - 1 ? text + (/\r?\n$/.exec(each)?.[0] ?? "") : each)).join("");
}

/** What may be expected of a change, in the course's words. */
function useGuessWords(): (guess: Guess) => string {
  const classWords = useClassWords();
  return (guess) => (guess === "nothing" ? "nothing is wrong" : classWords(guess));
}

/** One sign of a right program changed: guessed, run, compared. Each change begins with the right program again. */
export function LabToDo({ part, lab, code }: { part: LabPart; lab: Lab; code: string }) {
  const [line, setLine] = useState(1);
  const [text, setText] = useState(lab.lines[0] ?? "");
  const [guess, setGuess] = useState<Guess | null>(null);
  const [words, setWords] = useState("");
  const [told, setTold] = useState("");
  const [busy, setBusy] = useState(false);
  const [rows, addRow, clear] = useKeptRows(`${code} ${part.key}`);
  const guessWords = useGuessWords();
  const id = useId();

  const pick = (at: number, changed: string) => {
    setLine(at);
    setText(changed);
    setTold("");
  };
  const run = async () => {
    if (guess === null) return setTold("First say what you expect.");
    setBusy(true);
    setTold("");
    const sent = { part: part.key, text: withLine(lab.right, line, text) };
    const reply = await fetch(`/s/lesson/${code}/lab`, {
      method: "POST",
      headers: { "Content-Type": "application/json" },
      body: JSON.stringify(sent),
    })
      .then((response) => response.json())
      .then((json) => labReplySchema.parse(json))
      .catch(() => ({ ok: false as const, message: "The server is not reached. Try it again in a moment." }));
    setBusy(false);
    if (!reply.ok) return setTold(reply.message);
    const { ok: _, ...came } = reply;
    addRow({ ...came, guess, words: words.trim() });
    setGuess(null);
    setWords("");
    pick(line, lab.lines[line - 1] ?? "");
  };

  return (
    <div className="grid gap-3">
      <p>
        <strong>Task {part.firstTask}.</strong> {lab.title}: this program is right. Change one sign of it, say what you
        expect, run it, and compare.
      </p>
      {lab.intro && <p>{lab.intro}</p>}
      <div className="border border-rule bg-sheet py-2">
        <Script
          lines={lab.lines}
          label={`Program ${lab.fileName}`}
          chosen={line}
          onPick={(at) => pick(at, lab.lines[at - 1] ?? "")}
          pickHint="Change a sign of this line"
        />
      </div>
      {lab.typed !== "" && (
        <p>
          Typed in: <code className="whitespace-pre-wrap">{lab.typed.trimEnd()}</code>
        </p>
      )}
      {lab.changes.length > 0 && (
        <div className="flex flex-wrap items-center gap-2">
          <span>Try one of these:</span>
          {lab.changes.map((change, at) => (
            <button
              key={change.number}
              type="button"
              className="press press-quiet"
              onClick={() => pick(change.line, change.after)}
            >
              Change {at + 1} in line {change.line}
            </button>
          ))}
        </div>
      )}
      <form
        className="leaf grid gap-2 p-3"
        onSubmit={(event) => {
          event.preventDefault();
          void run();
        }}
      >
        <label className="grid gap-1">
          Line {line}, with one sign changed
          <input
            className="field field-code"
            value={text}
            autoComplete="off"
            autoCapitalize="off"
            spellCheck={false}
            onChange={(event) => setText(event.target.value)}
          />
        </label>
        <fieldset className="flex flex-wrap gap-4">
          <legend>What do you expect?</legend>
          {guesses.map((each) => (
            <label key={each}>
              <input type="radio" name={`${id} guess`} checked={guess === each} onChange={() => setGuess(each)} />{" "}
              {guessWords(each)}
            </label>
          ))}
        </fieldset>
        <label className="grid gap-1">
          Which words will there be, if you like
          <input className="field" value={words} maxLength={300} onChange={(event) => setWords(event.target.value)} />
        </label>
        <div>
          <button type="submit" className="press press-main" disabled={busy}>
            Run it
          </button>
        </div>
        <p role="status">{busy ? "It is being run …" : told}</p>
      </form>
      {rows.length > 0 && <LabTable rows={rows} clear={clear} guessWords={guessWords} />}
    </div>
  );
}

/** What was changed, guessed, and what came of it. */
function LabTable({
  rows,
  clear,
  guessWords,
}: {
  rows: readonly LabRow[];
  clear: () => void;
  guessWords: (guess: Guess) => string;
}) {
  const right = rows.filter(({ guess, came }) => guess === (came.class ?? "nothing")).length;
  return (
    <div className="grid gap-2 overflow-x-auto" tabIndex={0}>
      <table className="w-full min-w-[30rem] border-collapse text-left">
        <caption className="text-left">
          {right} of {rows.length} as you expected
        </caption>
        <thead>
          <tr>
            {["Changed", "You expected", "What came"].map((each) => (
              <th key={each} scope="col" className="border border-rule px-2">
                {each}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row, at) => (
            <tr key={at} className="align-top">
              <td className="border border-rule px-2">
                Line {row.line}: <code className="whitespace-pre-wrap">{row.after.trim()}</code>
              </td>
              <td className="border border-rule px-2">
                {guessWords(row.guess)}
                {row.words !== "" && <span className="note-small block">{row.words}</span>}
              </td>
              <td className="border border-rule px-2">
                <CameWords came={row.came} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="note-small no-print">
        This table is kept in this browser only.{" "}
        <button type="button" className="link" onClick={clear}>
          Begin a new one
        </button>
      </p>
    </div>
  );
}
