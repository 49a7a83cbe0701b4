import { lineTexts } from "../../core/source/lines.ts";
import { Script } from "../components/Script.tsx";
import { PrintedProgram } from "../print/PrintPage.tsx";

/** The mended program, where a task is about that one. */
export function MendedProgram({ text }: { text: string | null }) {
  if (text === null) return null;
  return (
    <div>
      <p>This is about the mended program:</p>
      <div className="border border-rule bg-sheet py-2">
        <Script lines={text.replace(/\r?\n$/, "").split(/\r?\n/)} label="Mended program" />
      </div>
    </div>
  );
}

/** What is typed in, line by line. */
export function TypedIn({ input, label }: { input: string; label?: string | undefined }) {
  if (input === "") return <p className="note-small">{label ? `${label}: nothing.` : "Nothing is typed in."}</p>;
  return (
    <p>
      {label ?? "Typed in"}:{" "}
      {input
        .replace(/\n$/, "")
        .split("\n")
        .map((line, index) => (
          <kbd key={index} className="mr-2 inline-block max-w-full border border-rule-strong bg-leaf px-1.5">
            {line || "(Enter)"}
          </kbd>
        ))}
    </p>
  );
}

/** The program that a task on paper is about, where it is not the exercise's own, and what is typed in. */
export function PrintedRun({ text, input }: { text: string | null; input: string }) {
  return (
    <>
      {text !== null && <PrintedProgram lines={lineTexts(text)} />}
      {input && <p>Typed in: {input.trim().split("\n").join(" / ")}</p>}
    </>
  );
}
