import { describe, expect, test } from "vitest";
import { findLanguage } from "../languages/languages.ts";
import { editContext } from "./context.ts";
import { applyEdit } from "./edit.ts";
import { proposeEdits } from "./families.ts";

/** Whether a program is refused or starts, the family that mends it, the program, and a piece of it with what that is to be. */
export type Slip = readonly [way: "refused" | "starts", family: string, program: string, piece: string, right: string];

/** Tests of slips that beginners make again and again: what mends each is among the changes that are proposed. */
export function slipsOf(id: string, slips: readonly Slip[]): void {
  const language = findLanguage(id);
  const proposed = (way: Slip[0], text: string) => {
    const context = language && editContext(language, text, ["Tern"]);
    return context ? proposeEdits(context, way === "refused" ? "mend a refusal" : "mend") : [];
  };

  describe(`slips in ${language?.name ?? id}`, () => {
    test.each(slips)("%s, by %s: %j", (way, family, program, piece, right) => {
      const meant = program.replace(piece, () => right);
      expect(meant).not.toBe(program);
      const mending = proposed(way, program).filter((edit) => applyEdit(program, edit) === meant);
      expect(mending.map((edit) => edit.family)).toContain(family);
      // A form of another language is none any more once it is mended.
      const again = /^other-/.test(family) ? proposed("starts", meant) : [];
      expect(
        again.filter((edit) => edit.family === family && edit.odds > 3).map((edit) => applyEdit(meant, edit)),
      ).toEqual([]);
    });
  });
}
