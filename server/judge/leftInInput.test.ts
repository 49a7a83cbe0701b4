import { afterAll, expect, test } from "vitest";
import { findLanguage } from "../../core/languages/languages.ts";
import { sharedToolchains } from "../testToolchains.ts";
import { judgeProgram } from "./judge.ts";

const toolchains = sharedToolchains();
afterAll(() => toolchains.close());

test.each([
  [
    "java",
    'import java.util.Scanner;\npublic class Main {\n    public static void main(String[] args) {\n        Scanner in = new Scanner(System.in);\n        int cars = in.nextInt();\n        System.out.println(cars + " cars");\n        String deck = in.nextLine();\n        System.out.println("Deck " + deck);\n    }\n}\n',
    5,
  ],
  [
    "c",
    '#include <stdio.h>\nint main(void)\n{\n    int cars;\n    char deck[20];\n    scanf("%d", &cars);\n    printf("%d cars\\n", cars);\n    fgets(deck, 20, stdin);\n    printf("Deck %s", deck);\n    return 0;\n}\n',
    6,
  ],
])("in %s a text that was read as nothing leads to the read before it", async (id, text, line) => {
  const language = findLanguage(id);
  if (!language) throw new Error(id);
  const judged = await judgeProgram(toolchains, {
    ...{
      language,
      files: [{ name: language.mainName, bytes: Buffer.from(text) }],
      policies: { endlessClass: "logic" },
    },
    ...{ input: "4\nTern\n", expected: "4 cars\nDeck Tern\n" },
  });
  expect(judged.judgement.class).toBe("logic");
  expect(judged.judgement.leads[0]).toMatchObject({ line, why: expect.stringContaining("left the end of its line") });
});
