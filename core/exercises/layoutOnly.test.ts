import fc from "fast-check";
import { expect, test } from "vitest";
import { findLanguage } from "../languages/languages.ts";
import { withoutLayout } from "./layoutOnly.ts";

const java = `public class Deck {
    public static void main(String[] args) {
        int load = 4; // cars
        for (int i = 0; i < 3; i++) {
            load = load + i;
        }
        System.out.println("Load " + load);
    }
}
`;
const python = "load = 4\nfor car in range(3):\n    load = load + car\n    print(load)\nprint('Load', load)\n";
const same = (id: string, program: string, answer: string) => withoutLayout(findLanguage(id), program, answer);

test.each([
  ["java", java, java.replaceAll(" {\n", "\n{\n")],
  ["java", java, java.replaceAll("\n    ", "\n")],
  ["java", java, java.replace("int load = 4; // cars", "int load=4;")],
  ["java", java, java.replace(/\n/g, " ").replace("// cars", "")],
  ["python", python, python.replaceAll("    ", "  ")],
  ["python", python, python.replaceAll("\n", "  \n\n")],
  ["python", python, `# mine\n${python.replace("load = 4", "load=4   # cars")}`],
  ["pascal", "program A;\nbegin\n  writeln(3);\nend.\n", "program A;\n\nbegin writeln(3); end.\n"],
])("%s: what is only laid out otherwise is as it was", (id, program, answer) => {
  expect(same(id, program, answer)).toBe(program);
});

test("a change stays, in the layout of the program", () => {
  const answer = java.replaceAll(" {\n", "\n{\n").replace("i < 3", "i <= 3");
  expect(same("java", java, answer)).toBe(java.replace("i < 3", "i <= 3"));
  const added = java.replace("        System", '        System.out.println("here");\n        System');
  expect(same("java", java, added)).toBe(added);
  const indented = python.replace("    print(load)", "print(load)");
  expect(same("python", python, indented)).toBe(indented);
  expect(same("python", python, python.replace("load = 4", "load  =  5"))).toContain("5");
});

test("without a language only blanks are layout", () => {
  expect(withoutLayout(undefined, "a b\nc\n", "a  b \n\nc\n")).toBe("a b\nc\n");
});

const tokens = (id: string, text: string) =>
  (findLanguage(id)?.tokens(text) ?? []).filter((token) => token.kind !== "comment").map((token) => token.text);

test("whatever is changed, what the machine reads stays what was handed in", () => {
  const lines = java.split("\n");
  const pieces = fc.constantFrom("", "load = 5;", "{", "}", "int tide = 2;", "// here", "if (load > 3)", ...lines);
  fc.assert(
    fc.property(fc.array(fc.tuple(fc.nat(lines.length), pieces), { maxLength: 4 }), (changes) => {
      const changed = [...lines];
      for (const [at, text] of changes) changed[at] = text;
      const answer = changed.join("\n");
      expect(tokens("java", same("java", java, answer))).toEqual(tokens("java", answer));
    }),
  );
});
