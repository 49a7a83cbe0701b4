import { expect, test } from "@playwright/test";
import { collect } from "./collect.ts";

// The last file: these programs take all that a machine of two cores has, while somebody else's walk would wait for its turn.
for (const [what, program, words] of [
  ["a program that loops", "while True:\n    pass\n", "It has not ended"],
  [
    "a program that forks",
    "import os\nwhile True:\n    try:\n        os.fork()\n    except OSError:\n        pass\n",
    /limit|memory|has not ended/,
  ],
  ["a program that fills memory", "x = []\nwhile True:\n    x.append(bytearray(1000000))\n", "memory"],
  ["a program that floods output", "while True:\n    print('kittiwake')\n", "It has not ended"],
] as const) {
  test(`${what} gets a clear outcome and the server goes on`, async ({ page }) => {
    await collect(page, program, { expected: "done" });
    await expect(page.getByLabel("Verdict")).toContainText(words, { timeout: 60_000 });
    await collect(page, "print(4)\n", { expected: "5" });
    await expect(page.getByLabel("Verdict")).toContainText("intended is “5”");
  });
}
