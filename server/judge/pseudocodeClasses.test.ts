import { afterAll, beforeAll, expect, test } from "vitest";
import { sharedToolchains } from "../testToolchains.ts";
import type { Toolchains } from "../toolchains/toolchains.ts";
import { differing, type SaidBefore } from "./saidBefore.ts";

let toolchains: Toolchains;
beforeAll(() => {
  toolchains = sharedToolchains();
});
afterAll(() => toolchains.close());

/** Faulty programs with what they are, said before they were run: the class, and the line that is reported (from 1). All are to print "21". */
const faulty: readonly SaidBefore[] = [
  { what: "THEN left out", class: "syntax", line: 2, program: "fare <- 21\nIF fare > 3\nOUTPUT fare\nENDIF\n" },
  {
    what: "a loop that is not closed",
    class: "syntax",
    line: 2,
    program: "fare <- 18\nWHILE fare < 21\nfare <- fare + 1\nOUTPUT fare\n",
  },
  { what: "the end of another block", class: "syntax", line: 3, program: "FOR trip <- 1 TO 1\nOUTPUT 21\nENDWHILE\n" },
  { what: "a word as a name", class: "syntax", line: 1, program: "step <- 21\nOUTPUT step\n" },
  {
    what: "an arrow in a condition",
    class: "syntax",
    line: 2,
    program: "fare <- 21\nIF fare <- 21 THEN\nOUTPUT fare\nENDIF\n",
  },
  { what: "a name that begins with a digit", class: "syntax", line: 1, program: "2nd <- 21\nOUTPUT 2nd\n" },
  {
    what: "two values too few for a routine",
    class: "syntax",
    line: 4,
    program: "FUNCTION sum(a, b)\nRETURN a + b\nENDFUNCTION\nOUTPUT sum(21)\n",
  },
  { what: "RETURN in no routine", class: "syntax", line: 2, program: "OUTPUT 21\nRETURN 21\n" },
  { what: "a name that has no value", class: "runtime", line: 2, program: "fare <- 21\nOUTPUT faer\n" },
  {
    what: "the counter behind its loop",
    class: "runtime",
    line: 3,
    program: "FOR trip <- 1 TO 21\nNEXT trip\nOUTPUT trip\n",
  },
  { what: "an element behind the last one", class: "runtime", line: 2, program: "fares <- [7, 21]\nOUTPUT fares[3]\n" },
  {
    what: "nothing to divide by",
    class: "runtime",
    line: 3,
    program: "INPUT cars\nINPUT decks\nOUTPUT cars DIV decks\n",
    input: "42\n0\n",
  },
  {
    what: "a text that is no number",
    class: "runtime",
    line: 2,
    program: "INPUT cars\nOUTPUT cars + 1\n",
    input: "twenty\n",
  },
  {
    what: "a recursion without an end",
    class: "runtime",
    line: 2,
    program: "FUNCTION down(n)\nRETURN down(n - 1)\nENDFUNCTION\nOUTPUT down(21)\n",
  },
  {
    what: "a file that is not there",
    class: "runtime",
    line: 1,
    program: 'OPENFILE "fares.txt" FOR READ\nOUTPUT 21\n',
  },
  {
    what: "one pass too few",
    class: "logic",
    line: null,
    program: "total <- 0\nFOR trip <- 1 TO 5\ntotal <- total + trip\nNEXT trip\nOUTPUT total\n",
  },
  {
    what: "AND for OR",
    class: "logic",
    line: null,
    program: "fare <- 2\nIF fare < 3 AND fare > 9 THEN\nOUTPUT 21\nENDIF\n",
  },
  {
    what: "a value in place of the place",
    class: "logic",
    line: null,
    program: "PROCEDURE take(load)\nload <- load + 20\nENDPROCEDURE\naboard <- 1\nCALL take(aboard)\nOUTPUT aboard\n",
  },
  {
    what: "a loop that never ends",
    class: "logic",
    line: null,
    program: "fare <- 1\nWHILE fare < 21\nfare <- fare - 1\nENDWHILE\nOUTPUT fare\n",
  },
  {
    what: "the whole quotient for the exact one",
    class: "logic",
    line: null,
    program: "OUTPUT 43 DIV 2 + 0 * 1 - 1\n",
  },
];

test.each(faulty.map((each) => [each.what, each] as const))("%s", async (_, given) => {
  expect(await differing(toolchains, "pseudocode", "21\n", [given])).toEqual([]);
});
