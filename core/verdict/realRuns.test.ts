import { describe, expect, test } from "vitest";
import { runPseudocode } from "../interpreters/pseudocode/run.ts";
import { pseudocode } from "../languages/pseudocode/pseudocode.ts";
import { judge } from "./judge.ts";

const name = "deck.pseudo";
const limits = { steps: 4000, mostCalls: 100, outputCharacters: 20_000 };

/** A program run and recorded in this process, and judged by what came of it; the recording is cut where it goes on for ever. */
function judged(program: string, input: string, expected: string) {
  const run = { program, fileName: name, input, limits };
  const { outcome, ...recorded } = runPseudocode({ ...run, record: limits.steps });
  const trace = { ...recorded, outcome, files: [name] };
  return judge({ language: pseudocode, mainName: name, files: { [name]: program }, expected, outcome, trace });
}

/** What the right program gives for an input. */
function intended(program: string, input: string): string {
  const { outcome } = runPseudocode({ program, fileName: name, input, limits });
  expect(outcome.diagnostics).toEqual([]);
  return outcome.console.flatMap(({ kind, text }) => (kind === "out" ? [text] : [])).join("");
}

/** Both programs of a text in which a slip stands as «right¦faulty». */
const both = (text: string) => ({
  right: text.replace(/«([^¦»]*)¦([^»]*)»/g, "$1"),
  faulty: text.replace(/«([^¦»]*)¦([^»]*)»/g, "$2"),
});

describe("a loop that does not end is a logic error, and its lines are named", () => {
  test.each([
    [
      "the change is left out",
      'tide <- 9\nWHILE tide > 3\n  OUTPUT tide\n«  tide <- tide - 2\n¦»ENDWHILE\nOUTPUT "low"\n',
      [2, 3],
    ],
    ["it moves away", "tide <- 9\nWHILE tide > 3\n  tide <- tide «-¦+» 2\nENDWHILE\nOUTPUT tide\n", [3]],
    [
      "another name gets the value",
      "cars <- 0\nleft <- 5\nWHILE left > 0\n  cars <- cars + 1\n  «left¦rest» <- left - 1\nENDWHILE\nOUTPUT cars\n",
      [5],
    ],
    [
      "it steps over what it waits for",
      "deck <- 9\nWHILE deck <> 0\n  deck <- deck - «3¦2»\nENDWHILE\nOUTPUT deck\n",
      [3, 2],
    ],
    [
      "the change stands behind it",
      'trips <- 0\nREPEAT\n  OUTPUT "sail"\n«  trips <- trips + 1\n¦»UNTIL trips = 3\n«¦trips <- trips + 1\n»OUTPUT trips\n',
      [5, 3, 4],
    ],
    [
      "it is set back in each pass",
      "total <- 0\nWHILE total < 20\n«¦  total <- 0\n»  total <- total + 7\nENDWHILE\nOUTPUT total\n",
      [3, 4],
    ],
  ])("%s", (_, text, lines) => {
    const { right, faulty } = both(text);
    const found = judged(faulty, "", intended(right, ""));
    expect(found).toMatchObject({ class: "logic", symptom: expect.stringMatching(/not end/) });
    expect(lines).toContain(found.leads[0]?.line);
  });

  test("a long loop that ends is not taken for one", () => {
    const program = "sum <- 0\nFOR car <- 1 TO 900\n  sum <- sum + car\nNEXT car\nOUTPUT sum\n";
    expect(judged(program, "", "405450\n")).toMatchObject({ class: null, symptom: expect.not.stringContaining("end") });
  });

  test("one that is cut before anything can be said of it is not decided", () => {
    const program = "sum <- 0\nFOR car <- 1 TO 90000\n  sum <- sum + car\nNEXT car\nOUTPUT sum\n";
    const found = judged(program, "", "4050045000\n");
    expect([found.class, found.symptom]).toEqual([null, "not decided"]);
  });
});

describe("a program that stops is a runtime error; where it stopped and where the value came from are looked at first", () => {
  test.each([
    ["a divisor that is nothing", "cars <- «2¦0»\nweight <- 30\nshare <- weight / cars\nOUTPUT share\n", "", [3, 1]],
    ["an element behind the last", "loads <- [4, 9]\nFOR at <- 1 TO «2¦3»\n  OUTPUT loads[at]\nNEXT at\n", "", [3, 2]],
    ["a text where a number is meant", "INPUT cars\nOUTPUT «TO_NUMBER(cars)¦cars» + 1\n", "x3\n", [2, 1]],
    ["a name that nothing was given", "«cars¦crs» <- 3\nOUTPUT cars * 2\n", "", [2, 1]],
    [
      "a function that calls itself for ever",
      "FUNCTION far(n)\n«  IF n = 0 THEN\n    RETURN 0\n  ENDIF\n¦»  RETURN 1 + far(n - 1)\nENDFUNCTION\nOUTPUT far(3)\n",
      "",
      [2, 1],
    ],
  ])("%s", (_, text, input, lines) => {
    const { faulty } = both(text);
    const found = judged(faulty, input, "never\n");
    expect(found).toMatchObject({ class: "runtime" });
    expect(found.reportedLine).not.toBeNull();
    const looked = found.leads.slice(0, 3).map(({ line }) => line);
    for (const line of lines) expect(looked).toContain(line);
  });
});

describe("a wrong result is a logic error; what it was made of is looked at first", () => {
  test.each([
    ["a sum of too many", "sum <- 0\nFOR car <- 1 TO «3¦4»\n  sum <- sum + car\nNEXT car\nOUTPUT sum\n", "", 2],
    [
      "a branch that is wrong",
      'INPUT age\nIF age «<¦<=» 12 THEN\n  OUTPUT "half"\nELSE\n  OUTPUT "full"\nENDIF\n',
      "12\n",
      2,
    ],
    ["a factor", "INPUT cars\nfare <- cars * «12¦21»\nOUTPUT fare\n", "2\n", 2],
    [
      "a result of a function",
      'FUNCTION fare(cars)\n  RETURN cars * «12¦2»\nENDFUNCTION\nOUTPUT "Kittiwake"\nOUTPUT fare(3)\n',
      "",
      2,
    ],
    [
      "a count that never moves",
      "loads <- [4, 9, 7]\nheavy <- 0\nFOR at <- 1 TO 3\n  IF loads[at] > 5 THEN\n«    heavy <- heavy + 1\n¦    OUTPUT loads[at]\n»  ENDIF\nNEXT at\nOUTPUT heavy\n",
      "",
      5,
    ],
  ])("%s", (_, text, input, line) => {
    const { right, faulty } = both(text);
    const found = judged(faulty, input, intended(right, input));
    expect(found.class).toBe("logic");
    // Without a search for a small change all lines on the way are alike: it is one of them.
    expect(found.leads.slice(0, 4).map((lead) => lead.line)).toContain(line);
  });

  test("the right program has no class", () => {
    const program = 'INPUT age\nIF age < 12 THEN\n  OUTPUT "half"\nELSE\n  OUTPUT "full"\nENDIF\n';
    expect(judged(program, "12\n", "full\n").class).toBeNull();
  });
});

describe("a program that is refused is a syntax error, whatever would come later", () => {
  test.each([
    ["a block that is not closed", "IF 3 > 2 THEN\n  OUTPUT 1\nOUTPUT 2\n"],
    ["a value that is missing", "cars <-\nOUTPUT cars\n"],
    ["a bracket", "OUTPUT (3 + 2\n"],
    ["a loop's end", "FOR car <- 1 TO 3\n  OUTPUT car\n"],
    ["a text", 'OUTPUT "Tern\n'],
  ])("%s", (_, program) => {
    const found = judged(program, "", "1\n");
    expect(found).toMatchObject({ class: "syntax" });
    expect(found.reportedLine).not.toBeNull();
    expect(found.leads.length).toBeGreaterThan(0);
  });
});
