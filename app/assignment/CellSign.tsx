import { type CellResult, cellResults } from "../../core/assignments/overview.ts";

/** The words of a cell's result on a page and for screen readers. */
export const resultWords: Readonly<Record<CellResult, string>> = {
  passes: "passes",
  syntax: "does not start",
  runtime: "stops",
  logic: "another result",
  "does not end": "does not end",
  open: "open",
  "not run": "not run",
};

const signs: Readonly<Record<CellResult, { colour: string; path: string; dashes?: string }>> = {
  passes: { colour: "text-graphite", path: "M5 13l4.5 5L19 6" },
  syntax: { colour: "text-indigo", path: "M19 5H5v14h14" },
  runtime: { colour: "text-ochre", path: "M2 17h7l1.6-4.5M13.4 11.5L15 7h7" },
  logic: { colour: "text-teal", path: "M11 4a8 8 0 0 0 0 16M14 5a8 8 0 0 1 0 14" },
  "does not end": { colour: "text-plum", path: "M3 12h3c3-9 6-9 6 0s3 9 6 0M20 12h2" },
  open: { colour: "text-graphite", path: "M5 5h14v14H5z", dashes: "1 4" },
  "not run": { colour: "text-graphite", path: "M7 12h2M11 12h2M15 12h2" },
};

/** The shape of a sign, in the colour of what holds it. */
function Shape({ result }: { result: CellResult }) {
  const { path, dashes } = signs[result];
  return (
    <path
      d={path}
      fill="none"
      stroke="currentColor"
      strokeWidth="2.3"
      strokeLinecap="round"
      strokeLinejoin="round"
      strokeDasharray={dashes}
    />
  );
}

/** The colour of a sign; its shape tells it as well. */
export function signColour(result: CellResult): string {
  return signs[result].colour;
}

/** The sign of what a program did under a check: told by its shape, and by its colour besides. */
export function CellSign({ result }: { result: CellResult }) {
  return (
    <svg viewBox="0 0 24 24" className={`inline-block h-5 w-5 ${signColour(result)}`} aria-hidden>
      <Shape result={result} />
    </svg>
  );
}

const symbolOf = (result: CellResult) => `sign-${result.replaceAll(" ", "-")}`;

/** The shapes of all signs, once for a page that shows thousands of them by `SharedSign`. */
export function SharedSigns() {
  return (
    <svg className="hidden" aria-hidden>
      {cellResults.map((result) => (
        <symbol key={result} id={symbolOf(result)} viewBox="0 0 24 24">
          <Shape result={result} />
        </symbol>
      ))}
    </svg>
  );
}

/** A sign by the shapes of `SharedSigns`, in the colour of what holds it. */
export function SharedSign({ result }: { result: CellResult }) {
  return (
    <svg className="h-5 w-5" aria-hidden>
      <use href={`#${symbolOf(result)}`} />
    </svg>
  );
}
