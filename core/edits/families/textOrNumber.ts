import { parts } from "../../syntax/tree.ts";
import { change, type EditContext, type EditFamily, type Placed, type Proposal } from "../edit.ts";
import { calledName, ofKind } from "../places.ts";

function quoted(context: EditContext, text: string): string {
  return `${context.writing.quote}${text}${context.writing.quote}`;
}

/** True for a text that is the name of a variable and is printed as the last of some values. */
export function printsName(context: EditContext, { node, around }: Placed): boolean {
  const text = /^(["'])(.*)\1$/s.exec(node.sign ?? "")?.[2] ?? "";
  const call = around.at(-1);
  if (text.length < 2 || !context.names.includes(text) || call?.kind !== "call" || node.role !== "argument")
    return false;
  // Alone it may be a word that is meant; behind others a value is expected.
  const given = parts(call, "argument");
  return context.writing.library.prints(calledName(call)) && given.length > 1 && given.at(-1) === node;
}

/** Quotes taken off a text that is a number or a name of the program. */
function takeOff(context: EditContext): Proposal[] {
  return ofKind(context, "text").flatMap(({ node, around }) => {
    const text = /^(["'])(.*)\1$/s.exec(node.sign ?? "")?.[2] ?? "";
    if (!/^-?\d+(\.\d+)?$/.test(text) && !context.names.includes(text)) return [];
    return [change(node, text, { value: text }, printsName(context, { node, around }) ? 3 : 1)];
  });
}

/** Quotes put around a number or a name. */
function putOn(context: EditContext): Proposal[] {
  return ofKind(context, "number", "name").flatMap(({ node, around }) => {
    const text = node.sign ?? "";
    const parent = around.at(-1);
    const unknown = node.kind === "name" && !context.names.includes(text) && !context.functions.includes(text);
    if (
      node.role === "callee" ||
      node.role === "target" ||
      node.role === "definition" ||
      parent?.kind === "import" ||
      node.role === "object"
    )
      return [];
    if (node.kind === "name" && !unknown && node.role !== "argument" && parent?.kind !== "binary") return [];
    return [change(node, quoted(context, text), { value: text }, unknown ? 0.8 : 0.15)];
  });
}

export const textOrNumber: EditFamily = {
  id: "text-or-number",
  says: "quotes around a number or a name, or a text without them",
  weight: 5,
  reads: "both",
  mends: (context) => [...takeOff(context), ...putOn(context)],
  plants: (context) => [...putOn(context), ...takeOff(context)],
  examples: [
    { language: "python", right: "total = 3\nprint(total)\n", faulty: 'total = 3\nprint("total")\n' },
    { language: "python", right: 'if deck == "1":\n    pass\n', faulty: "if deck == 1:\n    pass\n" },
    {
      language: "java",
      right: "class Main { void f(int n) { g(n); } }",
      faulty: 'class Main { void f(int n) { g("n"); } }',
    },
    { language: "c", right: "void f(int n) { g(n); }", faulty: 'void f(int n) { g("n"); }' },
    {
      language: "csharp",
      right: "class P { void F(int n) { G(n); } }",
      faulty: 'class P { void F(int n) { G("n"); } }',
    },
    {
      language: "pascal",
      right: "var n: integer;\nbegin\n  writeln(n);\nend.",
      faulty: "var n: integer;\nbegin\n  writeln('n');\nend.",
    },
    { language: "octave", right: "n = 3;\ndisp(n)\n", faulty: 'n = 3;\ndisp("n")\n' },
  ],
};
