import { afterAll, beforeAll, expect, test } from "vitest";
import { findLanguage } from "../../core/languages/languages.ts";
import { consoleText } from "../../core/outcome/outcome.ts";
import { sharedToolchains } from "../testToolchains.ts";
import type { Toolchains } from "../toolchains/toolchains.ts";
import { judgeProgram } from "./judge.ts";

let toolchains: Toolchains;
beforeAll(() => {
  toolchains = sharedToolchains();
});
afterAll(() => toolchains.close());

async function judged(id: string, files: Record<string, string>, expected?: string) {
  const language = findLanguage(id);
  if (!language) throw new Error(id);
  return judgeProgram(toolchains, {
    language,
    files: Object.entries(files).map(([name, text]) => ({ name, bytes: Buffer.from(text) })),
    policies: { endlessClass: "logic" },
    expected,
  });
}
const printed = ({ outcome }: Awaited<ReturnType<typeof judged>>) => consoleText(outcome?.console ?? [], ["out"]);

test("a grammar fault in an imported file is an error of syntax of that file; what ran before is shown", async () => {
  const result = await judged("python", {
    "main.py": "print('Deck')\nimport fares\nprint(fares.price(4))\n",
    "fares.py": "def price(n)\n    return n * 3\n",
  });
  expect(printed(result)).toBe("Deck\n");
  expect(consoleText(result.outcome?.console ?? [], ["err"])).toContain('File "main.py", line 2');
  expect(result.judgement).toMatchObject({ class: "syntax", kind: "form", reportedLine: 1, reportedFile: "fares.py" });
  const said = result.judgement.reasons.join(" ");
  expect(said).toContain("Line 1 had printed “Deck”");
  expect(said).toContain("refused where it is needed by the running program, at line 1 of fares.py");
  expect(said).not.toContain("before any line ran");
  expect(result.judgement.leads[0]).toMatchObject({ file: "fares.py", line: 1 });
});

test("a file that the run did not need is refused all the same, in words that say so", async () => {
  const result = await judged("python", { "main.py": "print(4)\n", "fares.py": "price = (4\n" }, "4\n");
  expect([result.judgement.class, printed(result)]).toEqual(["syntax", "4\n"]);
  expect(result.judgement.reasons.join(" ")).toContain("though this run came to its end without it");
});

test("a stop in a second file names it; lines of the main file are not blamed for it", async () => {
  const result = await judged("python", {
    "main.py": "import fares\nprint('Deck')\nprint(fares.price(4))\n",
    "fares.py": "def price(n):\n    rate = 3\n    return n * rat\n",
  });
  expect(result.judgement).toMatchObject({ class: "runtime", reportedLine: 3, reportedFile: "fares.py" });
  expect(result.judgement.reasons.join(" ")).toContain("stopped at line 3 of fares.py");
  const places = result.judgement.leads.map(({ file, line }) => `${file ?? "main"} ${line}`);
  expect(places).toContain("fares.py 3");
  expect(places).toContain("main 3");
  expect(places).toContain("fares.py 2");
});

test("the matrix language: a function's file that is refused, after the main file had printed", async () => {
  const result = await judged("octave", {
    "main.m": 'disp("Deck")\ndisp(price(4))\n',
    "price.m": "function p = price(n)\n  p = n * (3;\nend\n",
  });
  expect(printed(result)).toBe("Deck\n");
  expect(result.judgement).toMatchObject({ class: "syntax", reportedFile: "price.m", reportedLine: 2 });
  expect(result.judgement.reasons.join(" ")).toContain("had printed “Deck”");
});

test("a second class of a compiled program is named, too", async () => {
  const result = await judged("java", {
    "Main.java":
      "public class Main {\n  public static void main(String[] a) { System.out.println(Fares.price(4)); }\n}\n",
    "Fares.java": "class Fares {\n  static int price(int n) { return n * 3 }\n}\n",
  });
  expect(result.judgement).toMatchObject({ class: "syntax", reportedFile: "Fares.java", reportedLine: 2 });
  expect(result.judgement.reasons.join(" ")).toContain("refused before any line ran at line 2 of Fares.java");
});
