import { afterAll, expect, test } from "vitest";
import { editContext } from "../../core/edits/context.ts";
import { applyEdit } from "../../core/edits/edit.ts";
import { proposeEdits } from "../../core/edits/families.ts";
import { python as language } from "../../core/languages/python/python.ts";
import { limitsSchema, type Outcome } from "../../core/outcome/outcome.ts";
import { todaysShare } from "../../tools/share.ts";
import { sharedToolchains } from "../testToolchains.ts";

const toolchains = sharedToolchains();
afterAll(() => toolchains.close());
const limits = { ...limitsSchema.parse({}), cpuSeconds: 0.4, wallSeconds: 3 };

/** What is told of texts in one job. */
async function told(texts: readonly string[], linesOnly: boolean): Promise<Array<Outcome | null>> {
  const request = { files: [{ name: "ferry.py", bytes: new Uint8Array() }], input: "", limits, linesOnly };
  const variants = texts.map((text) => ({ main: Buffer.from(text), input: "4\n30\n12\n" }));
  return (await toolchains.find("python")?.runMany?.(request, variants, 60)) ?? [];
}

const lineOf = (outcome: Outcome | null | undefined) => outcome?.diagnostics.find((each) => each.primary)?.line;
const isRefused = (outcome: Outcome | null | undefined) => outcome?.stoppedBy === "refused";

const programs = [
  `def fare(age, distance):
    price = 4.0 + distance * 0.25
    if age < 6:
        price = 0.0
    elif age < 16:
        price = price / 2
    return round(price, 2)

cars = int(input())
total = 0
while cars > 0:
    total += fare(30, 12)
    cars -= 1
else:
    print("All aboard")
print("Total", total)
`,
  `class Deck:
    def __init__(self, limit):
        self.loads = []
        self.limit = limit

    def load(self, weight):
        try:
            if sum(self.loads) + weight > self.limit:
                raise ValueError("too heavy")
            self.loads.append(weight)
        except ValueError as problem:
            print(problem)
        finally:
            print(len(self.loads))

deck = Deck(40)
for weight in [12, 18, 30]:
    deck.load(weight)
print({"Kittiwake": deck.loads}["Kittiwake"][0])
`,
];

test("Every slip in a program: refused or not, and at the same line, as the whole of it is", async () => {
  for (const program of programs) {
    const context = editContext(language, program);
    const slips = context ? proposeEdits(context, "plant").map((edit) => applyEdit(program, edit)) : [];
    const short = [...new Set(slips)].filter((text) => text.split("\n").length < 60);
    const texts = todaysShare(short, 2);
    const whole = await told(texts, false);
    const refused = texts.filter((_, at) => isRefused(whole[at]));
    // What follows a refused one is the one that may be told by its lines.
    const inTurn = texts.flatMap((text, at) => [refused[at % refused.length] ?? "", text]);
    const brief = await told(inTurn, true);
    expect(refused.length).toBeGreaterThan(25);
    let elsewhere = 0;
    for (const [at, text] of texts.entries()) {
      const own = brief[2 * at + 1];
      expect(isRefused(own), text).toBe(isRefused(whole[at]));
      if (isRefused(own) && lineOf(own) !== lineOf(whole[at])) elsewhere += 1;
    }
    // A branch that lost what it belongs to may be reported where the next one is.
    expect(elsewhere).toBeLessThanOrEqual(Math.ceil(refused.length * 0.02));
  }
});

const right: Record<string, string> = {
  "brackets over several lines": "fares = [\n    4,\n    6,\n]\nprint(max(\n    fares\n))\n",
  "texts over several lines": 'print("""\nSailing )\n    at noon\n""")\n',
  "lines that go on": "cars = 3 + \\\n    4\nprint(cars)\n",
  "a function with something before it":
    "def twice(work):\n    return work\n\n@twice\ndef sail():\n    return 3\n\nprint(sail())\n",
  cases: "tide = 2\nmatch tide:\n    case 1:\n        print('low')\n    case _:\n        print('high')\n",
  "cases with brackets":
    "tide = 2\nmatch(tide):\n    case(1):\n        print('low')\n    case[_]:\n        print('high')\n",
  "an attempt on one line": "try: print('one')\nexcept ValueError: print('two')\n",
  tabulators: "for tide in (1, 2):\n\tif tide > 1:\n\t\tprint(tide)\n",
  "other ends of lines": "for tide in (1, 2):\r\n    print(tide)\r\n",
  "what stands behind a header": "if 1: print('one')\nelse: print('two')\nfor car in (1, 2): print(car)\n",
  "comments further in and out": "if 1:\n            # far in\n    print('one')\n# at the margin\n    print('two')\n",
  "branches of several kinds":
    "for car in (1, 2):\n    try:\n        print(car)\n    except (ValueError, KeyError):\n        pass\n    else:\n        print('fine')\n    finally:\n        print('done')\nelse :\n    print('end')\n",
  "names of soft words": "case = 1\nmatch = case\nprint(match)\nmatch = [3]\nmatch [0] = 4\n",
  "a sign that tells the encoding": "# coding: utf-8\nprint('Möwe')\n",
  "lines with nothing on them": "if 1:\n\n    \n    print('one')\n   \n\n",
  "what is compiled with a warning": "cars = 3\nprint(cars is 3)\nprint('\\d')\n",
};

test.each(Object.entries(right))("A right program is run behind one that is refused: %s", async (_, text) => {
  const outcomes = await told(["print(\n", text, "print('Sail'\n", text], true);
  expect(outcomes.map(isRefused)).toEqual([true, false, true, false]);
  expect(outcomes[1]).toMatchObject({ started: true, finished: true, stoppedBy: "none" });
  expect(outcomes[3]?.console).toEqual(outcomes[1]?.console);
});

const refused: Record<string, [text: string, line: number]> = {
  "a bracket that nothing closes": ["print(3\ncars = 4\n", 1],
  "a header without its sign": ["cars = 3\nif cars > 2\n    print(cars)\nelse:\n    print(0)\n", 2],
  "nothing below a header": ["if 1:\nprint(1)\n", 2],
  "nothing below the last header": ["cars = 1\nwhile cars:\n", 2],
  "further in than before": ["cars = 1\n  print(cars)\n", 2],
  "between two depths": ["if 1:\n        cars = 1\n    print(cars)\n", 3],
  "a branch of nothing": ["cars = 1\nelse:\n    print(cars)\n", 2],
  "two lines that cannot be read": ["cars = = 1\nprint(3 4)\n", 1],
  "going back from no function": ["cars = 1\nreturn cars\n", 2],
  "leaving no loop": ["if 1:\n    break\n", 2],
  "a text that is not closed": ["cars = 1\nprint('Sail)\n", 2],
};

test.each(Object.entries(refused))("Refused at its line, also behind another one: %s", async (_, [text, line]) => {
  const brief = await told(["print(\n", text, text], true);
  const whole = await told([text], false);
  expect(brief.map(isRefused)).toEqual([true, true, true]);
  expect([lineOf(whole[0]), lineOf(brief[1]), lineOf(brief[2])]).toEqual([line, line, line]);
});
