import { expect, test } from "vitest";
import { findLanguage } from "./languages.ts";
import { runnableLines } from "./runnable.ts";

test.each([
  ["python", "# loads\n\nloads = 4\nif loads:\n    print(loads)\nelse:\n    pass\n", [3, 4, 5, 7]],
  ["c", "int main(void)\n{\n    // nothing\n    return 0;\n}\n", [1, 4]],
  ["pascal", "program P;\nbegin\n  { loads }\n  writeln(4);\nend.\n", [1, 4]],
  ["octave", "% loads\nx = 1;\nif x\n  y = 2;\nend\n", [2, 3, 4]],
])("%s: blank lines, comments and lines that only open or close a block hold nothing to run", (id, program, lines) => {
  const language = findLanguage(id);
  expect(language && runnableLines(language, program)).toEqual(lines);
});
