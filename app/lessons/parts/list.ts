import type { ShownPart } from "../../../server/lessons/lessonView.ts";
import { classes } from "./classes.tsx";
import { lab } from "./lab.tsx";
import type { AnyPartParts } from "./partParts.ts";
import { program } from "./program.tsx";
import { reading } from "./reading.tsx";
import { recap } from "./recap.tsx";
import { sheet } from "./sheet.tsx";
import { story } from "./story.tsx";

/** What the pages show of every kind of part; a new one is one file and one line here. */
export const allPartParts = [classes, program, lab, reading, story, sheet, recap] as unknown as readonly AnyPartParts[];

/** The parts of a kind. Throws for one that has none, which only a newer version can have made. */
export function partPartsOf(kind: ShownPart["kind"]): AnyPartParts {
  const found = allPartParts.find((each) => each.kind === kind);
  if (!found) throw new Error(`unknown kind of part ${kind}`);
  return found;
}
