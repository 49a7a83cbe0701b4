import type { PartKind } from "./partKind.ts";
import { classesPart } from "./parts/classesPart.ts";
import { labPart } from "./parts/labPart.ts";
import { programPart } from "./parts/programPart.ts";
import { readingPart } from "./parts/readingPart.ts";
import { recapPart } from "./parts/recapPart.ts";
import { sheetPart } from "./parts/sheetPart.ts";
import { storyPart } from "./parts/storyPart.ts";

/** Every kind of part of a lesson; a new one is one file and one line here, and one in app/lessons/parts/list.ts. */
export const partKinds: readonly PartKind[] = [
  ...[classesPart, programPart, labPart, readingPart, storyPart, sheetPart, recapPart],
];

/** The kind of part of this name. */
export function findPart(kind: string): PartKind | undefined {
  return partKinds.find((each) => each.kind === kind);
}
