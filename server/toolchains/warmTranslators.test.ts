import { afterAll, beforeAll, expect, test } from "vitest";
import { limitsSchema, type RunRequest } from "../../core/outcome/outcome.ts";
import { createToolchains, type Toolchains } from "./toolchains.ts";

let toolchains: Toolchains;
beforeAll(() => {
  toolchains = createToolchains();
});
afterAll(() => toolchains.close());

const request = (name: string, text: string): RunRequest => ({
  files: [{ name, bytes: Buffer.from(text) }],
  input: "",
  limits: limitsSchema.parse({}),
});

/**
 * A right program, a refused one with several messages and one with warnings; and others that give the same names other
 * meanings.
 */
const languages = {
  java: {
    name: "Deck.java",
    kept: [
      "class Load { int tons() { return 4; } }\npublic class Deck { public static void main(String[] a) { System.out.println(new Load().tons()); } }\n",
      "public class Deck { int load = lorry; Lod more; public static void main(String[] a) { retrun; } }\n",
      "import java.util.*;\npublic class Deck { static List all = new ArrayList(); public static void main(String[] a) { all.add(1); System.out.println(all); } }\n",
    ],
    other: (index: number) =>
      [
        `class Load { String tons() { return "${index}"; } }\npublic class Deck { static int lorry = ${index}; public static void main(String[] a) { } }\n`,
        `class Lod { } class List { }\npublic class Deck { public static void main(String[] a) { int x = "${index}"; } }\n`,
        `public class Deck { ${"{".repeat(index % 7)} \n`,
      ][index % 3] ?? "",
  },
  csharp: {
    name: "deck.cs",
    kept: [
      "class Load { public int Tons() { return 4; } }\nclass Deck { static void Main() { System.Console.WriteLine(new Load().Tons()); } }\n",
      "class Deck { int load = lorry; Lod more; static void Main() { retrun; } }\n",
      "class Deck { static void Main() { int unused; System.Console.WriteLine(1); } }\n",
    ],
    other: (index: number) =>
      [
        `class Load { public string Tons() { return "${index}"; } }\nclass Deck { static int lorry = ${index}; static void Main() { } }\n`,
        `class Lod { }\n#define X\nclass Deck { static void Main() { int x = "${index}"; } }\n`,
        `class Deck { ${"{".repeat(index % 7)} \n`,
      ][index % 3] ?? "",
  },
};

test.each(Object.entries(languages))(
  "%s: a text is translated the same first and after 100 others",
  async (language, { name, kept, other }) => {
    const toolchain = toolchains.find(language);
    if (!toolchain) throw new Error(`no toolchain for ${language}`);
    const said = async () =>
      Promise.all(
        kept.map(async (text) => {
          const { diagnostics, console, stoppedBy } = await toolchain.run(request(name, text));
          return { diagnostics, console, stoppedBy };
        }),
      );
    const before = await said();
    expect(before.map((each) => each.stoppedBy)).toEqual(["none", "refused", "none"]);
    for (let index = 0; index < 100; index += 1) await toolchain.check(request(name, other(index)));
    expect(await said()).toEqual(before);
  },
);
