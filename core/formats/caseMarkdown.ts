import { findPattern } from "../patterns/patterns.ts";
import { className, findWording } from "../wording/wordings.ts";
import { type CaseEntry, firstOf, mainTextOf, type ReadEntry } from "./caseEntry.ts";
import { fenced, numbered, plain } from "./markdown.ts";

/** The plain names of the classes: a file that goes out belongs to no course. */
const plainWording = findWording(null);

function layerOf(layer: CaseEntry["layers"][number]): string[] {
  const { decided, suggested } = layer;
  const of = decided ? decided.class : suggested.class;
  const pattern = layer.pattern ?? layer.suggestedPattern;
  const name = pattern === null ? null : (findPattern(pattern)?.name ?? pattern);
  const fields = [
    layer.cause ?? suggested.fields?.cause,
    layer.moment ?? suggested.fields?.moment,
    layer.depends ?? suggested.fields?.depends,
  ];
  const lines = layer.faultyLines.map(({ line, file }) => (file ? `${line} of ${file}` : String(line)));
  const said: Array<[string, string]> = [
    [
      "Class",
      `${of === null ? "not decided" : className(plainWording, of)}${decided ? ", decided by the teacher" : ", as the evidence suggests"}`,
    ],
    ["Outcome", decided && decided.outcome !== "fault" ? decided.outcome : ""],
    [
      "Overruled",
      decided && decided.suggested !== decided.class
        ? `the evidence said ${decided.suggested ?? "nothing"}; ${decided.reason}`
        : "",
    ],
    ["Reasons", suggested.reasons.join(" ")],
    ["Kind of mistake", name === null ? "" : `${name}${layer.pattern ? "" : " (suggested)"}`],
    ["Comes from", fields[0] ?? ""],
    ["Noticed", fields[1] ?? ""],
    ["Shows", fields[2] ?? ""],
    ["Message", suggested.message],
    ["Message was worth", layer.advice ?? ""],
    ["Reported line", suggested.reportedLine === null ? "none" : String(suggested.reportedLine)],
    ["Faulty line", lines.join(", ")],
    ["Why it is not where the tool said", layer.placeReason],
    ["What was wrong", layer.explanation],
    ["The fix is meant to", layer.intention ?? ""],
    [
      "Proved",
      layer.verified
        ? `by ${layer.verified.checks.length} checks, ${layer.verified.translator}, on ${layer.verified.at.slice(0, 10)}`
        : "not yet",
    ],
  ];
  return [
    `## Fault ${layer.position}`,
    "",
    ...said.filter(([, words]) => words !== "").map(([what, words]) => `- **${what}:** ${plain(words)}`),
    "",
    ...(layer.fix ?? []).flatMap((hunk) => [
      `Line ${hunk.start}${hunk.file ? ` of ${plain(hunk.file)}` : ""}${hunk.extra ? " (changed along with it, not needed for the fix)" : ""}:`,
      "",
      ...fenced(
        [...hunk.before.map((line) => `- ${line.trimEnd()}`), ...hunk.after.map((line) => `+ ${line.trimEnd()}`)].join(
          "\n",
        ),
        "diff",
      ),
    ]),
  ];
}

/** The entry of a case as Markdown (CommonMark): everything that is recorded of it, failed tries as well. */
export function caseMarkdown(read: ReadEntry): string {
  const { entry } = read;
  const first = firstOf(entry);
  const tries = entry.versions.filter((version) => version.result !== null && version.result !== "verified");
  const outputs = entry.versions.flatMap((version) =>
    version.outputs.map((output) => ({ ...output, number: version.number })),
  );
  return [
    `# ${plain(entry.title)}`,
    "",
    plain(
      [
        entry.language,
        entry.student,
        entry.course,
        entry.assignment,
        `collected ${entry.collected.slice(0, 10)}`,
        entry.source,
      ]
        .filter((part) => part)
        .join(" · "),
    ),
    "",
    ...(entry.intent ? [`What it is for: ${plain(entry.intent)}`, ""] : []),
    ...(entry.instead ? [`What it did instead: ${plain(entry.instead)}`, ""] : []),
    ...(entry.changedLast ? [`Changed last: ${plain(entry.changedLast)}`, ""] : []),
    ...(entry.userActions.length > 0
      ? ["What the user did:", "", ...entry.userActions.map((step, at) => `${at + 1}. ${plain(step)}`), ""]
      : []),
    ...fenced(numbered(mainTextOf(read, first), entry.firstLine), entry.language),
    ...outputs.flatMap(({ origin, text, number }) => [
      `What ${plain(origin || "a tool")} said of version ${number}:`,
      "",
      ...fenced(text),
    ]),
    ...(entry.cameOut ? ["What came out:", "", ...fenced(entry.cameOut)] : []),
    ...(entry.checks.length > 0
      ? [
          "| check | typed in | should come out |",
          "| --- | --- | --- |",
          ...entry.checks.map(({ name, kind, input, expected, handedIn }) => {
            const cell = (text: string) => plain(text.trimEnd()).replace(/\r\n|\n|\r/g, "<br>") || "nothing";
            return `| ${handedIn ? "as handed in" : plain(name || kind)} | ${cell(input)} | ${expected === null ? "not recorded" : cell(expected)} |`;
          }),
          "",
        ]
      : []),
    ...entry.layers.flatMap(layerOf),
    ...(tries.length > 0
      ? [
          "## Tried as well",
          "",
          ...tries.map(
            ({ number, belief, result }) =>
              `- version ${number}: ${plain(belief || "no belief written down")} (${result})`,
          ),
          "",
        ]
      : []),
    ...(entry.note ? ["## Note", "", plain(entry.note), ""] : []),
  ].join("\n");
}

/** Several entries in one text, parted by rules. */
export function casesMarkdown(entries: readonly ReadEntry[]): string {
  return entries.map(caseMarkdown).join("\n---\n\n");
}
