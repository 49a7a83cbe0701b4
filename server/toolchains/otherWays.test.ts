import { afterAll, expect, test } from "vitest";
import { sharedToolchains } from "../testToolchains.ts";
import { usableWays } from "./otherWays.ts";

const toolchains = sharedToolchains();
afterAll(() => toolchains.close());

async function said(language: string, id: string, name: string, text: string, extension: string) {
  const way = toolchains
    .find(language)
    ?.otherWays()
    .find((each) => each.id === id);
  if (!way) throw new Error(`${language} ${id}`);
  return toolchains.otherwise(way, { files: [{ name, bytes: Buffer.from(text) }] }, extension);
}

test.each([
  [
    "python",
    "warnings",
    "deck.py",
    "tide = 3\nif tide is 3:\n    print('full')\n",
    ".py",
    /SyntaxWarning|"is" with a literal|"is" with 'int' literal/,
  ],
  [
    "java",
    "lint",
    "Deck.java",
    "import java.util.*;\npublic class Deck {\n  public static void main(String[] a) {\n    List loads = new ArrayList();\n    loads.add(4);\n  }\n}\n",
    ".java",
    /Deck\.java:4: warning: \[rawtypes\]/,
  ],
  [
    "c",
    "c99",
    "deck.c",
    "int main(void)\n{\n    int n = 0b11;\n    return n;\n}\n",
    ".c",
    /deck\.c:3:\d+: warning: .*binary constants/,
  ],
  [
    "csharp",
    "version 5",
    "Deck.cs",
    'using System;\nclass Deck { static void Main() { int n = 4; Console.WriteLine($"{n}"); } }\n',
    ".cs",
    /Deck\.cs\(2,\d+\): error CS\d+/,
  ],
  ["pascal", "tp", "deck.pas", "var r: result;\nbegin\n  r := 1;\nend.\n", ".pas", /deck\.pas\(1,\d+\) Error/],
  ["octave", "traditional", "deck.m", "x = 3 + ;\n", ".m", /parse error/],
])(
  "%s by another way (%s) says what its translator says, with the program's own names",
  async (language, id, name, text, extension, wanted) => {
    const answer = await said(language, id, name, text, extension);
    expect(answer).toMatchObject({ ok: true });
    if (answer.ok) {
      expect(answer.text).toMatch(wanted);
      expect(answer.text).not.toContain("/case/");
    }
  },
);

test("a translator that is not there, or that ends without a word, is no silence", async () => {
  const request = { files: [{ name: "deck.c", bytes: Buffer.from("int x;\n") }] };
  const by = (...command: string[]) => ({ id: "x", words: "x", command: () => command });
  expect(usableWays([by("/usr/bin/no-such-translator"), by("/bin/true")]).map((way) => way.command([])[0])).toEqual([
    "/bin/true",
  ]);
  expect(await toolchains.otherwise(by("/bin/false"), request, ".c")).toEqual({
    ok: false,
    message: "x ended with status 1 and said nothing.",
  });
  expect(await toolchains.otherwise(by("/usr/bin/no-such-translator"), request, ".c")).toMatchObject({ ok: false });
});

test("what says nothing gives an empty text; an unknown language has no other ways", async () => {
  expect(await said("c", "c99", "deck.c", "int main(void)\n{\n    return 0;\n}\n", ".c")).toEqual({
    ok: true,
    text: "",
  });
  expect(toolchains.find("steps")?.otherWays).toBeUndefined();
});
