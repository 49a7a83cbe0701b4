import type { Came } from "../../core/lessons/parts/labPart.ts";
import { ClassMark } from "../components/marks.tsx";

/** What came of a change: its class, the message with the line that it names, what was printed. */
export function CameWords({ came }: { came: Came }) {
  return (
    <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
      <p>{came.class === null ? "Nothing is wrong: it gives what it should." : <ClassMark of={came.class} />}</p>
      {came.message !== "" && (
        <p className="font-mono text-[0.85em]">
          {came.line !== null && `line ${came.line}: `}
          {came.message}
        </p>
      )}
      {came.message === "" && came.class !== null && (
        <pre className="w-full text-[0.85em] wrap-anywhere whitespace-pre-wrap">
          {came.printed || "(nothing is printed)"}
        </pre>
      )}
    </div>
  );
}
