import { afterAll, expect, test } from "vitest";
import { consoleText, limitsSchema } from "../../core/outcome/outcome.ts";
import { readMany } from "./octaveMany.ts";
import { createToolchains } from "./toolchains.ts";

const toolchains = createToolchains();
afterAll(() => toolchains.close());
const octave = toolchains.find("octave");
const limits = { ...limitsSchema.parse({}), cpuSeconds: 1.2, wallSeconds: 3 };
const file = (text: string) => [{ name: "ferry.m", bytes: Buffer.from(text) }];

test("Variants tried by one interpreter give what their own runs would", async () => {
  const texts = [
    'cars = input("Cars? ");\nprintf("%d\\n", cars * 4);\n',
    "if 3\n  disp(4)\n",
    "x = [1 2];\ndisp(x(3))\n",
    "disp(totl)\n",
    "function r = f(x)\n  r = x + 1;\nend\ndisp(f(2))\n",
    "1;\nfunction r = g(x)\n  r = x(5);\nend\ng([1 2])\n",
  ];
  const variants = texts.map((text) => ({ main: Buffer.from(text), input: "3\n" }));
  const together = (await octave?.runMany?.({ files: file(""), input: "", limits }, variants, 30)) ?? [];
  for (const [at, text] of texts.entries()) {
    const alone = await octave?.run({ files: file(text), input: "3\n", limits });
    const [one, other] = [together[at], alone];
    if (text.startsWith("function")) {
      expect(one).toBeNull();
      continue;
    }
    expect([one?.stoppedBy, one?.finished, one?.started], text).toEqual([
      other?.stoppedBy,
      other?.finished,
      other?.started,
    ]);
    expect(consoleText(one?.console ?? [], ["out"]), text).toBe(consoleText(other?.console ?? [], ["out"]));
    const told = (outcome: typeof one) => outcome?.diagnostics.map((each) => [each.message, each.line, each.stage]);
    expect(told(one), text).toEqual(told(other));
  }
  expect(together[0]?.console.map((piece) => piece.kind)).toEqual(["out", "in", "out"]);
});

test("One that loops costs its own time only; what is no answer is passed over", async () => {
  const variants = ["while true\nend\n", "disp(5)\n"].map((text) => ({ main: Buffer.from(text), input: "" }));
  const told = (await octave?.runMany?.({ files: file(""), input: "", limits }, variants, 30)) ?? [];
  expect(told.map((outcome) => outcome?.stoppedBy)).toEqual(["time", "none"]);
  expect([...readMany("nonsense\n2 0 0 5 =NAo= =\n3 x\n").keys()]).toEqual([1]);
  expect(readMany("2 0 0 5 =NAo= =\n").get(1)).toMatchObject({
    console: [{ kind: "out", text: "4\n" }],
    stopped: "none",
  });
});
