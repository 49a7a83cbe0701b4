import { afterAll, expect, test } from "vitest";
import { javaTranslators } from "./javaMachine.ts";
import { csharpTranslators } from "./monoMachine.ts";
import type { Translated } from "./translators.ts";

const noWorkbench = () => {
  throw new Error("nothing is run here");
};
const java = javaTranslators(noWorkbench);
const csharp = csharpTranslators(noWorkbench);
afterAll(() => Promise.all([java.close(), csharp.close()]));

const files = (name: string, texts: readonly string[]) =>
  texts.map((text, at) => ({ name: `bn${at}_/${name}`, bytes: Buffer.from(text) }));
const shape = (one: Translated | null | undefined) => one && { ok: one.ok, main: one.main, said: one.said };

test("Java texts are really translated in one go: each has its classes, a refused one its own words and none of theirs", async () => {
  const text = (body: string) => `class Ferry {\n  public static void main(String[] given) {\n    ${body}\n  }\n}\n`;
  const told = await java.translateTogether(
    files("Ferry.java", [text("int cars = 3;"), text("int cars = 3"), text('int cars = "3";'), text("int fares = 4;")]),
  );
  expect(told.map((one) => one?.ok)).toEqual([true, false, false, true]);
  expect(told.map((one) => one?.main)).toEqual(["bn0_.Ferry", "", "", "bn3_.Ferry"]);
  expect(told[0]?.made.map(({ name }) => name)).toEqual(["bn0_/Ferry.class"]);
  expect(told[1]?.said).toContain("Ferry.java:3: error: ';' expected");
  expect(told[2]?.said).toContain("Ferry.java:3: error: incompatible types");
  for (const one of told) expect(one?.said).not.toContain("bn");
});

test("C# texts are really translated in one go: all that are taken are one assembly, a text without a beginning is left to be translated alone", async () => {
  const text = (body: string, main = "Main") =>
    `using System;\nclass Ferry {\n  static void ${main}() {\n    ${body}\n  }\n}\n`;
  const told = await csharp.translateTogether(
    files("Ferry.cs", [
      text("Console.WriteLine(3);"),
      text("Console.WriteLine(3)"),
      text("int cars = true;"),
      text("Console.WriteLine(4);", "Begin"),
      text("Console.WriteLine(5);"),
    ]),
  );
  expect(told.map(shape)).toEqual([
    { ok: true, main: "bn0_", said: "" },
    { ok: false, main: "", said: expect.stringContaining("./Ferry.cs(5,3): error CS1002") },
    { ok: false, main: "", said: expect.stringContaining("./Ferry.cs(4,") },
    null,
    { ok: true, main: "bn4_", said: "" },
  ]);
  expect(told.map((one) => one?.made.length)).toEqual([2, 0, 0, undefined, 0]);
});

test("Where every text is refused, each is told so", async () => {
  const told = await java.translateTogether(
    files("Quay.java", ["class {", "clas Quay {}", "class Quay { int f() { } }"]),
  );
  expect(told.map((one) => one?.ok)).toEqual([false, false, false]);
});
