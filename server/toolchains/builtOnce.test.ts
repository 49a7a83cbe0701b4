import { afterAll, beforeAll, expect, test } from "vitest";
import { consoleText, limitsSchema, type Outcome } from "../../core/outcome/outcome.ts";
import { createToolchains, type Toolchains } from "./toolchains.ts";

let toolchains: Toolchains;
beforeAll(() => {
  toolchains = createToolchains();
});
afterAll(() => toolchains.close());

/** Programs that add up what is typed in, that warn, and that stop for some values; one that is refused. */
const programs: Readonly<Record<string, { name: string; text: string; stops: string; refused: string }>> = {
  c: {
    name: "deck.c",
    text: '#include <stdio.h>\nint main(void)\n{\n    int unused;\n    int a = 0, b = 0;\n    scanf("%d %d", &a, &b);\n    printf("%d\\n", 60 / (a - b));\n    return 0;\n}\n',
    stops: "4 4\n",
    refused: "int main(void)\n{\n    retrun 0;\n}\n",
  },
  pascal: {
    name: "deck.pas",
    text: "program Deck;\nvar a, b, unused: longint;\nbegin\n  readln(a, b);\n  writeln(60 div (a - b));\nend.\n",
    stops: "4 4\n",
    refused: "program Deck;\nbegin\n  writln(1);\nend.\n",
  },
  java: {
    name: "Deck.java",
    text: "import java.util.Scanner;\npublic class Deck {\n  public static void main(String[] args) {\n    Scanner in = new Scanner(System.in);\n    int a = in.nextInt();\n    int b = in.nextInt();\n    System.out.println(60 / (a - b));\n  }\n}\n",
    stops: "4 4\n",
    refused: "public class Deck { int a = lorry; }\n",
  },
  csharp: {
    name: "deck.cs",
    text: "using System;\nclass Deck {\n  static void Main() {\n    int unused;\n    var parts = Console.ReadLine().Split(' ');\n    int a = int.Parse(parts[0]), b = int.Parse(parts[1]);\n    Console.WriteLine(60 / (a - b));\n  }\n}\n",
    stops: "4 4\n",
    refused: "class Deck { int a = lorry; static void Main() { } }\n",
  },
};

/** What a run told, without what differs from run to run: times, places in memory, and whether a machine reads ahead. */
function told({ milliseconds: _, inputRanOut: __, found, ...outcome }: Outcome) {
  return { ...outcome, found: found?.frames };
}

for (const [language, { name, text, stops, refused }] of Object.entries(programs)) {
  const run = async (program: string, input: string) => {
    const toolchain = toolchains.find(language);
    if (!toolchain) throw new Error(language);
    const files = [{ name, bytes: Buffer.from(program) }];
    return toolchain.run({ files, input, limits: limitsSchema.parse({}) });
  };

  test(`${language}: a text that was built before tells all that it told the first time, and reads what is typed in now`, async () => {
    const first = await run(text, "9 4\n");
    expect(consoleText(first.console, ["out"])).toBe("12\n");
    expect(told(await run(text, "9 4\n"))).toEqual(told(first));
    const other = await run(text, "9 6\n");
    expect(consoleText(other.console, ["out"])).toBe("20\n");
    // Warnings are the text's, whatever is typed in.
    expect(other.diagnostics).toEqual(first.diagnostics);
  });

  test(`${language}: one that stops for some values stops there alike, built before or not`, async () => {
    const fresh = text.replace("60", "72");
    const first = await run(fresh, stops);
    expect(first.stoppedBy).toBe("fault");
    expect(told(await run(fresh, stops))).toEqual(told(first));
    const after = await run(fresh, "9 3\n");
    expect([after.stoppedBy, consoleText(after.console, ["out"])]).toEqual(["none", "12\n"]);
    expect(told(await run(fresh, stops))).toEqual(told(first));
  });

  test(`${language}: what is refused is refused each time in the same words`, async () => {
    const first = await run(refused, "");
    expect([first.stoppedBy, first.started]).toEqual(["refused", false]);
    expect(told(await run(refused, "1 2\n"))).toEqual(told(first));
  });

  test(`${language}: another text is another program, though its file has the same name`, async () => {
    await run(text, "9 4\n");
    expect(consoleText((await run(text.replace("60", "600"), "9 4\n")).console, ["out"])).toBe("120\n");
  });
}
