import { describe, expect, test } from "vitest";
import { findLanguage } from "../languages/languages.ts";
import { editContext } from "./context.ts";
import { applyEdit } from "./edit.ts";
import { proposeEdits } from "./families.ts";

/** Whether a program is refused or starts, the family that mends it, the program, and a piece of it with what that is to be. */
export type Slip = readonly [way: "refused" | "starts", family: string, program: string, piece: string, right: string];

/** Slips in one right program, each with a piece of it and what stands there instead. */
export function slipsIn(
  program: string,
  slips: ReadonlyArray<readonly [way: Slip[0], family: string, right: string, wrong: string]>,
): Slip[] {
  return slips.map(([way, family, right, wrong]) => {
    const at = program.indexOf(right);
    if (at < 0) throw new Error(`“${right}” is not in the program`);
    // What is left out has no piece of its own: all up to there is the piece.
    const [piece, meant] = [program.slice(0, at) + wrong, program.slice(0, at) + right];
    return [way, family, piece + program.slice(at + right.length), piece, meant];
  });
}

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
