import { findPattern } from "../patterns/patterns.ts";
import { withoutEnd } from "../source/lines.ts";
import { className, findWording } from "../wording/wordings.ts";
import { type CaseEntry, fileNameOf, mainNameOf, mainTextOf, type ReadEntry } from "./caseEntry.ts";

/** Levels of SARIF by what a fault is: one that nobody decided is a warning. */
const levelOf = (layer: CaseEntry["layers"][number]) =>
  layer.decided === null ? "warning" : layer.decided.outcome === "fault" ? "error" : "note";

/** The plain names of the classes: a file that goes out belongs to no course. */
const plainWording = findWording(null);

/** Where a hunk takes lines away, by SARIF's regions: from the beginning of a line to the beginning of the one behind it (2.1.0, section 3.30). */
function deletedRegion(start: number, lines: number) {
  return lines === 0
    ? { startLine: start, startColumn: 1, endLine: start, endColumn: 1 }
    : { startLine: start, startColumn: 1, endLine: start + lines, endColumn: 1 };
}

function resultsOf(read: ReadEntry, at: number) {
  const { entry } = read;
  const uri = encodeURI(`${fileNameOf(entry, at)}/${mainNameOf(entry)}`);
  return entry.layers.map((layer) => {
    const of = layer.decided ? layer.decided.class : layer.suggested.class;
    const pattern = layer.pattern ?? layer.suggestedPattern;
    const lines = layer.faultyLines.filter(({ file }) => file === undefined);
    const eol = /\r\n/.test(mainTextOf(read, layer.before)) ? "\r\n" : "\n";
    const fix = (layer.fix ?? []).filter((hunk) => hunk.file === undefined && !hunk.extra);
    const reported = layer.suggested.reportedFile ? null : layer.suggested.reportedLine;
    const named = pattern === null ? undefined : (findPattern(pattern)?.name ?? pattern);
    const text = [
      of === null ? "no fault decided" : className(plainWording, of),
      named,
      layer.explanation,
      layer.suggested.message,
    ]
      .filter((part) => part)
      .join(": ");
    return {
      ruleId: pattern ?? of ?? "no-class",
      level: levelOf(layer),
      message: { text },
      locations: (lines.length > 0 ? lines.map(({ line }) => line) : [reported ?? 1]).map((line) => ({
        physicalLocation: { artifactLocation: { uri }, region: { startLine: line } },
      })),
      ...(reported === null
        ? {}
        : {
            relatedLocations: [
              {
                physicalLocation: { artifactLocation: { uri }, region: { startLine: reported } },
                message: { text: `The tool named this line: ${layer.suggested.message || "no words"}` },
              },
            ],
          }),
      ...(fix.length === 0
        ? {}
        : {
            fixes: [
              {
                description: { text: layer.intention || "The smallest change after which all checks pass." },
                artifactChanges: [
                  {
                    artifactLocation: { uri },
                    replacements: fix.map(({ start, before, after }) => ({
                      deletedRegion: deletedRegion(start, before.length),
                      insertedContent: {
                        text: after.map((line) => `${withoutEnd(line)}${eol}`).join(""),
                      },
                    })),
                  },
                ],
              },
            ],
          }),
      properties: {
        ...{ case: entry.key, layer: layer.position, class: of, decided: layer.decided !== null },
        ...{
          cause: layer.cause ?? layer.suggested.fields?.cause ?? null,
          moment: layer.moment ?? layer.suggested.fields?.moment ?? null,
        },
        verified: layer.verified !== null,
      },
    };
  });
}

/**
 * Cases as SARIF 2.1.0 (OASIS): a result for each fault, with its kind of mistake as the rule, the faulty lines, the line that the tool named, and the
 * fix. The programs are artifacts with their contents as they were handed in.
 */
export function casesSarif(entries: readonly ReadEntry[]) {
  const results = entries.flatMap(resultsOf);
  const ids = [...new Set(results.map(({ ruleId }) => ruleId))].sort();
  return {
    $schema: "https://docs.oasis-open.org/sarif/sarif/v2.1.0/errata01/os/schemas/sarif-schema-2.1.0.json",
    version: "2.1.0",
    runs: [
      {
        tool: {
          driver: {
            name: "Bent Nail",
            rules: ids.map((id) => {
              const pattern = findPattern(id);
              return {
                id,
                ...(pattern
                  ? {
                      name: pattern.name,
                      shortDescription: { text: pattern.says },
                      help: { text: `${pattern.mends} ${pattern.avoid}` },
                    }
                  : { shortDescription: { text: id } }),
              };
            }),
          },
        },
        columnKind: "utf16CodeUnits",
        artifacts: entries.map((read, at) => ({
          location: { uri: encodeURI(`${fileNameOf(read.entry, at)}/${mainNameOf(read.entry)}`) },
          sourceLanguage: read.entry.language,
          contents: { text: mainTextOf(read, read.entry.layers[0]?.before ?? read.entry.current) },
        })),
        results,
      },
    ],
  };
}
