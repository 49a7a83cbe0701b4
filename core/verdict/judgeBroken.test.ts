import { readdirSync, readFileSync } from "node:fs";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";
import fc from "fast-check";
import { describe, expect, test } from "vitest";
import * as z from "zod";
import { isLongRun } from "../../tools/share.ts";
import { guardOf } from "../fixes/guards.ts";
import { findLanguage } from "../languages/languages.ts";
import { diagnosticSchema } from "../outcome/outcome.ts";
import { evidenceOf } from "../patterns/evidence.ts";
import { suggestPatterns } from "../patterns/suggest.ts";
import { explain } from "../reading/explain.ts";
import { lineTexts } from "../source/lines.ts";
import { judge } from "./judge.ts";

/** What real tools said of programs that were broken on purpose (tools/outputs). */
const rowSchema = z.object({ language: z.string(), program: z.record(z.string(), z.string()), output: z.string() });
const folder = join(dirname(fileURLToPath(import.meta.url)), "../languages/collection");
const rows = readdirSync(folder)
  .filter((name) => name.endsWith(".jsonl"))
  .flatMap((name) => readFileSync(join(folder, name), "utf8").trim().split("\n"))
  .map((line) => rowSchema.parse(JSON.parse(line)));

/** A text of which a part went, came twice, or was put in another place, as when it is pasted in a hurry. */
function pasted(text: string, from: number, length: number, to: number): string {
  const [at, until] = [from % (text.length + 1), (from % (text.length + 1)) + length];
  const rest = text.slice(0, at) + text.slice(until);
  const place = to % (rest.length + 1);
  return rest.slice(0, place) + text.slice(at, until).repeat(to % 3) + rest.slice(place);
}

/** The same with one of its numbers another. */
function renumbered(text: string, which: number, number: string): string {
  let at = -1;
  const count = (text.match(/\d+/g) ?? []).length;
  return text.replace(/\d+/g, (found) => (++at === which % Math.max(1, count) ? number : found));
}

const anyNumber = fc.constantFrom("0", "00", "7", "9007199254740993", "99999999999999999999", "1e9", "-3");

describe("what a tool said of one program is judged with any other, whole or not", () => {
  test.each([...new Set(rows.map((row) => row.language))])("%s", (id) => {
    const language = findLanguage(id);
    if (!language) throw new Error(`${id} is not there`);
    const mine = fc.constantFrom(...rows.filter((row) => row.language === id));
    const part = fc.tuple(fc.nat(2_000), fc.nat(40), fc.nat(2_000));
    fc.assert(
      fc.property(mine, mine, part, part, fc.nat(40), anyNumber, (one, other, cut, torn, which, number) => {
        const [mainName = "", working = ""] = Object.entries(one.program)[0] ?? [];
        const program = pasted(working, ...cut);
        const lines = lineTexts(program);
        const files = { ...one.program, [mainName]: program };
        const pastedText = renumbered(pasted(other.output, ...torn), which, number);
        const judged = judge({ language, mainName, files, pastedText, working });
        // What was read can be kept: no place in it is none.
        for (const each of language.readMessages(pastedText, files)) diagnosticSchema.parse(each);
        // Nobody is sent to a line that the program does not have.
        const own = judged.leads.filter((lead) => lead.file === undefined).map((lead) => lead.line);
        expect(own.filter((line) => line < 1 || line > lines.length)).toEqual([]);
        if (judged.diagnostic) {
          explain(language, judged.diagnostic, lines);
          guardOf(language, program, judged.diagnostic);
        }
        suggestPatterns(evidenceOf(language, program, judged, []));
      }),
      { numRuns: isLongRun ? 1000 : 40 },
    );
  });
});
