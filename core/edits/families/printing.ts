import { part, parts } from "../../syntax/tree.ts";
import { change, type EditContext, type EditFamily, type Proposal } from "../edit.ts";
import { bracketed, calledName, ofKind } from "../places.ts";

/** One function that prints for another; a line end more or less; what stands between the printed values. */
function otherPrinting(context: EditContext): Proposal[] {
  const { printers } = context.writing;
  const found: Proposal[] = [];
  for (const { node, around } of ofKind(context, "call", "name")) {
    const name = node.kind === "call" ? calledName(node) : node.role === "callee" ? "" : (node.sign ?? "");
    const group = printers.find((each) => each.some((one) => one.toLowerCase() === name.toLowerCase()));
    const callee = node.kind === "call" ? part(node, "callee") : node;
    if (group && callee && (node.kind === "call" || around.at(-1)?.kind === "statement")) {
      const place = { from: callee.to - name.length, to: callee.to };
      for (const other of group)
        if (other.toLowerCase() !== name.toLowerCase())
          found.push(change(place, other, { before: name, after: other }, 0.8));
    }
    if (node.kind !== "call" || name !== "print" || context.writing.blocks.by !== "indentation") continue;
    const given = parts(node, "argument");
    const source = context.sourceOf(node);
    const [last] = given.slice(-1);
    const end = /,\s*end\s*=\s*(""|'')/.exec(source);
    if (end)
      found.push(
        change(
          { from: node.from + end.index, to: node.from + end.index + end[0].length },
          "",
          { before: "end", after: "" },
          0.8,
        ),
      );
    else if (last) found.push(change({ from: last.to, to: last.to }, ', end=""', { before: "", after: "end" }, 0.25));
    if (/,\s*sep\s*=/.test(source)) continue;
    if (given.length > 1 && last)
      found.push(change({ from: last.to, to: last.to }, ', sep=""', { before: "", after: "sep" }, 0.3));
    for (const [at, one] of given.slice(1).entries()) {
      const before = given[at];
      if (!before) continue;
      found.push(
        change(
          { from: before.to, to: one.to },
          ` + ${one.kind === "text" ? context.sourceOf(one) : bracketed(context, one)}`,
          { before: ",", after: "+" },
          0.3,
        ),
      );
    }
    const [only] = given;
    const [left, right] =
      only?.kind === "binary" && only.sign === "+" && given.length === 1
        ? [part(only, "left"), part(only, "right")]
        : [];
    if (left && right) found.push(change({ from: left.to, to: right.from }, ", ", { before: "+", after: "," }, 0.5));
  }
  return [...found, ...lineEnds(context)];
}

/** `\n` at the end of a printed text, more or less. */
function lineEnds(context: EditContext): Proposal[] {
  return ofKind(context, "call").flatMap(({ node }) => {
    if (!/^(f?printf|disp|fputs|puts|Write|print)$/.test(calledName(node))) return [];
    const text = parts(node, "argument").find((each) => each.kind === "text");
    const source = text?.sign ?? "";
    if (!text || !/^".*"$/s.test(source)) return [];
    const at = text.to - 1;
    if (source.endsWith('\\n"')) return [change({ from: at - 2, to: at }, "", { before: "\\n", after: "" }, 0.5)];
    return [change({ from: at, to: at }, "\\n", { before: "", after: "\\n" }, 0.6)];
  });
}

export const printing: EditFamily = {
  id: "printing",
  says: "how something is printed: the line's end, or what stands between the values",
  weight: 4,
  reads: "tree",
  mends: otherPrinting,
  plants: otherPrinting,
  examples: [
    { language: "python", right: "print(tide)\n", faulty: 'print(tide, end="")\n' },
    {
      language: "java",
      right: "class Main { void f() { System.out.println(1); } }",
      faulty: "class Main { void f() { System.out.print(1); } }",
    },
    { language: "c", right: 'void f(void) { printf("Sail\\n"); }', faulty: 'void f(void) { printf("Sail"); }' },
    {
      language: "csharp",
      right: "class P { void F() { Console.Write(1); } }",
      faulty: "class P { void F() { Console.WriteLine(1); } }",
    },
    { language: "pascal", right: "begin\n  writeln(1);\nend.", faulty: "begin\n  write(1);\nend." },
    { language: "octave", right: 'printf("Sail\\n")\n', faulty: 'printf("Sail")\n' },
  ],
};
