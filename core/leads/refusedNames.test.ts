import { expect, test } from "vitest";
import { findLanguage } from "../languages/languages.ts";
import { judge } from "../verdict/judge.ts";

/** The leads of a program that its translator refuses with this message. */
function leadsOf(id: string, mainName: string, program: string, pastedText: string) {
  const language = findLanguage(id);
  if (!language) throw new Error(id);
  return judge({ language, mainName, files: { [mainName]: program }, pastedText }).leads.map(({ line }) => line);
}

const unset = (line: number) =>
  `Ferry.java:${line}: error: variable word might not have been initialized\n        System.out.println(word);\n                           ^\n1 error\n`;
const chain = (last: string) =>
  `class Ferry {\n    static void f(int load) {\n        String word;\n        if (load > 9) {\n            word = "full";\n        } else if (load > 4) {\n            word = "half";\n        }${last}\n        System.out.println(word);\n    }\n}\n`;

test("a name that some branches give a value: the end of their decision comes before the line that reads it", () => {
  expect(leadsOf("java", "Ferry.java", chain(""), unset(9))[0]).toBe(8);
  expect(leadsOf("java", "Ferry.java", chain(" else {\n            load = 0;\n        }"), unset(11))[0]).toBe(10);
});

test("a name that all branches give a value, or none, leads nowhere else", () => {
  expect(leadsOf("java", "Ferry.java", chain(' else {\n            word = "low";\n        }'), unset(11))[0]).toBe(11);
  expect(leadsOf("java", "Ferry.java", chain("").replaceAll("word = ", "load += 1; // "), unset(9))[0]).toBe(9);
});

test("a value that a name's kind does not take: where the name is declared comes behind the line itself", () => {
  const program = "program ferry;\nvar\n  mean: integer;\nbegin\n  mean := 7 / 2;\n  writeln(mean);\nend.\n";
  const message = 'ferry.pas(5,13) Error: Incompatible types: got "Real" expected "SmallInt"\n';
  expect(leadsOf("pascal", "ferry.pas", program, message).slice(0, 2)).toEqual([5, 3]);
});
