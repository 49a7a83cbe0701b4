import fc from "fast-check";
import { describe, expect, test } from "vitest";
import type { Language } from "../../languages/language.ts";
import { findLanguage } from "../../languages/languages.ts";
import { neutralOf } from "../planting/neutral/neutralPrograms.ts";
import { drawScene, inputInScene, inScene, numberOf } from "./otherScene.ts";

const language = (id: string): Language => {
  const found = findLanguage(id);
  if (!found) throw new Error(id);
  return found;
};
const python = language("python");

const ramp = `# Cars that wait at the ramp
cars = int(input("Cars? "))
deckLoad = 0
for car in range(cars):
    deckLoad = deckLoad + 25
if deckLoad > 140:
    print(f"Load {deckLoad}: too much")
print("Deck load", deckLoad)
`;

test("a program in another scene: other names, words and numbers, the same program", () => {
  const scene = drawScene(python, ramp, 4);
  const other = inScene(python, scene, ramp, ramp);
  expect(other).not.toMatch(/cars|deckLoad|\bLoad\b|\b25\b|\b140\b/);
  // What is printed is about the same as what the names say.
  const [, first = "", second = ""] = /print\("(\w+) (\w+)"/.exec(other) ?? [];
  expect(other).toContain(`${first.toLowerCase()}${second.charAt(0).toUpperCase()}${second.slice(1)} = 0`);
  expect(other.split("\n").length).toBe(ramp.split("\n").length);
  expect(inScene(python, drawScene(python, ramp, 4), ramp, ramp)).toBe(other);
  expect(inScene(python, drawScene(python, ramp, 5), ramp, ramp)).not.toBe(other);
});

describe("a misspelt name is misspelt in the same way", () => {
  test.each([
    ["deckLaod", /^[a-z]+[A-Z][a-z]+$/],
    ["deckLod", /^[a-z]+[A-Z][a-z]+$/],
    ["deckload", /^[a-z]+$/],
    ["deckLoadd", /(.)\1$/],
  ])("%s", (slip, form) => {
    const faulty = ramp.replace('print("Deck load", deckLoad)', `print("Deck load", ${slip})`);
    const scene = drawScene(python, ramp, 4);
    const other = inScene(python, scene, faulty, ramp);
    const name = /^(\w+) = 0$/m.exec(other)?.[1] ?? "";
    const written = /print\("\w+ \w+", (\w+)\)/.exec(other)?.[1] ?? "";
    expect(written).not.toBe(slip);
    expect(written).not.toBe(name);
    expect(written).toMatch(form);
    expect(Math.abs(written.length - name.length)).toBe(Math.abs(slip.length - "deckLoad".length));
  });
});

test("what lies beside a limit lies beside what it becomes; counts and places stay", () => {
  const limit =
    "cars = int(input())\nfares = [40, 55]\nfor place in range(4):\n    print(place)\nif cars >= 15:\n    print(fares[1] / 2)\n";
  const scene = drawScene(python, limit, 9);
  const other = inScene(python, scene, limit, limit);
  expect(other).toContain("range(4)");
  expect(other).toMatch(/\w+\[1\] \/ 2/);
  const now = numberOf(scene, 15);
  expect(now).not.toBe(15);
  expect(inputInScene(scene, "14\n15\n16\n")).toBe(`${now - 1}\n${now}\n${now + 1}\n`);
});

test("in all neutral programs, for any seed: names stay apart, every line stays a line, nothing of the language is touched", () => {
  const all = ["python", "java", "c", "csharp", "pascal", "octave"].flatMap((id) =>
    neutralOf(id).map((each) => ({ id, program: each.program })),
  );
  fc.assert(
    fc.property(fc.constantFrom(...all), fc.integer({ min: 0, max: 1_000_000 }), ({ id, program }, seed) => {
      const own = language(id);
      const other = inScene(own, drawScene(own, program, seed), program, program);
      const [before, after] = [own.tokens(program), own.tokens(other)];
      expect(after.map(({ kind }) => kind)).toEqual(before.map(({ kind }) => kind));
      expect(after.map(({ line }) => line)).toEqual(before.map(({ line }) => line));
      const names = new Map<string, string>();
      for (const [at, token] of before.entries()) {
        if (token.kind !== "name") {
          if (token.kind === "keyword" || token.kind === "operator") expect(after[at]?.text).toBe(token.text);
          continue;
        }
        const now = after[at]?.text ?? "";
        expect(names.get(token.text) ?? now).toBe(now);
        names.set(token.text, now);
      }
      expect(new Set(names.values()).size).toBe(names.size);
    }),
    { numRuns: 300 },
  );
});
