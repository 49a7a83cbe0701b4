import { withoutEnd } from "../source/lines.ts";
import type { ReadEntry } from "./caseEntry.ts";
import { csvOf } from "./csv.ts";

const head = [
  ...[
    "case",
    "title",
    "course",
    "assignment",
    "student",
    "language",
    "collected",
    "fault",
    "outcome",
    "class",
    "kind",
    "decided",
  ],
  ...[
    "suggested",
    "reason",
    "cause",
    "noticed",
    "depends",
    "pattern",
    "pattern by",
    "message",
    "reported line",
    "faulty lines",
  ],
  ...["distance", "fix before", "fix after", "message worth", "explanation", "mended", "verified"],
];

/** Lines of a program one below the other, without their own ends. */
const written = (lines: readonly string[]) => lines.map(withoutEnd).join("\n");

/** Cases as comma-separated values (RFC 4180): a row for each fault, and one for a case without any. */
export function casesCsv(entries: readonly ReadEntry[]): string {
  const rows = entries.flatMap(({ entry }) => {
    const of = [
      entry.key,
      entry.title,
      entry.course ?? "",
      entry.assignment ?? "",
      entry.student ?? "",
      entry.language,
      entry.collected,
    ];
    if (entry.layers.length === 0) return [[...of, ...head.slice(of.length).map(() => "")]];
    return entry.layers.map((layer) => {
      const { decided, suggested } = layer;
      const lines = layer.faultyLines.filter(({ file }) => file === undefined).map(({ line }) => line);
      const reported = suggested.reportedFile ? null : suggested.reportedLine;
      const nearest =
        reported === null
          ? undefined
          : [...lines].sort((one, other) => Math.abs(one - reported) - Math.abs(other - reported))[0];
      const fix = (layer.fix ?? []).filter((hunk) => !hunk.extra);
      return [
        ...[...of, String(layer.position), decided?.outcome ?? "", (decided ? decided.class : suggested.class) ?? ""],
        ...[
          (decided ? decided.kind : suggested.kind) ?? "",
          decided ? "yes" : "no",
          suggested.class ?? "",
          decided?.reason ?? "",
        ],
        ...[layer.cause ?? suggested.fields?.cause ?? "", layer.moment ?? suggested.fields?.moment ?? ""],
        ...[layer.depends ?? suggested.fields?.depends ?? "", layer.pattern ?? layer.suggestedPattern ?? ""],
        ...[layer.pattern ? "teacher" : layer.suggestedPattern ? "evidence" : "", suggested.message],
        ...[reported === null ? "" : String(reported), lines.join(" ")],
        nearest === undefined || reported === null ? "" : String(reported - nearest),
        ...[written(fix.flatMap(({ before }) => before)), written(fix.flatMap(({ after }) => after))],
        ...[layer.advice ?? "", layer.explanation, layer.after === null ? "no" : "yes", layer.verified ? "yes" : "no"],
      ];
    });
  });
  return csvOf([head, ...rows]);
}
