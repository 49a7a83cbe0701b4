import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { rightPrograms } from "../../bench/collection/programs.ts";
import { editContext } from "../edits/context.ts";
import { applyEdit, invertEdit } from "../edits/edit.ts";
import { proposeEdits } from "../edits/families.ts";
import { findLanguage } from "../languages/languages.ts";
import { lineAt, lineStarts } from "./placed.ts";
import { nodesOf, part, type SyntaxNode } from "./tree.ts";

function languageOf(id: string) {
  const found = findLanguage(id);
  if (!found?.syntax) throw new Error(`no trees for ${id}`);
  return { ...found, syntax: found.syntax };
}

/** Every child lies within its parent, in the order of the text. */
function holds(node: SyntaxNode, text: string): void {
  expect(node.from).toBeLessThanOrEqual(node.to);
  expect(node.to).toBeLessThanOrEqual(text.length);
  for (const child of node.children) {
    expect(child.from).toBeGreaterThanOrEqual(node.from);
    expect(child.to).toBeLessThanOrEqual(node.to);
    holds(child, text);
  }
}

describe.each(["python", "java", "c", "csharp", "pascal", "octave", "pseudocode", "basic-macro"])("%s", (id) => {
  const programs = rightPrograms.filter((program) => program.language === id);

  test("right programs are read whole: no piece is left over", () => {
    for (const { text } of programs) {
      const tree = languageOf(id).syntax(text);
      holds(tree, text);
      expect(nodesOf(tree).filter((node) => node.kind === "error")).toEqual([]);
    }
  });

  test("programs that are cut and spliced are read as well, and every edit of them lies within", () => {
    const texts = programs.map((program) => program.text);
    const cut = fc.tuple(fc.constantFrom(...texts), fc.constantFrom(...texts), fc.nat(), fc.nat());
    fc.assert(
      fc.property(cut, ([one, other, from, to]) => {
        const text = one.slice(0, from % one.length) + other.slice(to % other.length);
        holds(languageOf(id).syntax(text), text);
        const context = editContext(languageOf(id), text);
        for (const way of ["mend", "mend a refusal", "plant"] as const)
          for (const edit of context ? proposeEdits(context, way) : []) {
            expect(edit.from).toBeLessThanOrEqual(edit.to);
            expect(edit.to).toBeLessThanOrEqual(text.length);
            const after = applyEdit(text, edit);
            expect(after).not.toBe(text);
            expect(applyEdit(after, invertEdit(text, edit))).toBe(text);
          }
      }),
      { numRuns: process.env.BENT_NAIL_LONG ? 500 : 3 },
    );
  });
});

test("operators bind as their language says, and a cast binds to what stands next to it", () => {
  const value = (id: string, text: string) => {
    const tree = languageOf(id).syntax(text);
    const given = nodesOf(tree).find((node) => node.kind === "assignment");
    return given && part(given, "value");
  };
  const shape = (node: SyntaxNode | undefined): string =>
    !node
      ? "-"
      : node.children.length === 0
        ? (node.sign ?? "")
        : node.kind === "cast"
          ? `cast(${shape(part(node, "operand"))})`
          : `(${[part(node, "left"), part(node, "right")].map(shape).join(node.sign)})`;
  expect(shape(value("python", "x = a + b * c - d\n"))).toBe("((a+(b*c))-d)");
  expect(shape(value("csharp", "class P { void F() { x = a + b * c - d; } }"))).toBe("((a+(b*c))-d)");
  expect(shape(value("pascal", "begin\n  x := a + b div c;\nend."))).toBe("(a+(bdivc))");
  expect(shape(value("octave", "x = a + b .* c;\n"))).toBe("(a+(b.*c))");
  expect(shape(value("c", "void f(void) { x = (double)a / b; }"))).toBe("(cast(a)/b)");
  expect(shape(value("java", "class M { void f() { x = (double) a / b; } }"))).toBe("(cast(a)/b)");
  for (const id of ["c", "java", "csharp"]) {
    const inside = (text: string) =>
      shape(value(id, id === "c" ? `void f(void) { x = ${text}; }` : `class M { void F() { x = ${text}; } }`));
    expect(inside("a >= b || c < 0 || c > 23"), id).toBe("(((a>=b)||(c<0))||(c>23))");
    expect(inside("a + 1 < b && c > d * 2"), id).toBe("(((a+1)<b)&&(c>(d*2)))");
  }
});

test("two comparisons in C are none of the brackets of a template, and the signs are those of the text", () => {
  const text =
    "#include <stdio.h>\nint f(int a, int b) { // a < b > c\n  if (a < 0 || b > 9 && a << 2 <= b) return '<' + b; char *s = \"<b>\"; return (a<b)>(b<a); }";
  const signs = nodesOf(languageOf("c").syntax(text)).flatMap((node) => (node.kind === "binary" ? [node.sign] : []));
  expect(signs.sort()).toEqual(["&&", "+", "<", "<", "<", "<<", "<=", ">", ">", "||"].sort());
  expect(nodesOf(languageOf("c").syntax(text)).some(({ kind }) => kind === "error")).toBe(false);
});

test("a place is on the line that it lies in, whatever ends the lines", () => {
  const text = "a\r\nbb\rccc\n";
  const starts = lineStarts(text);
  expect([0, 1, 3, 5, 6, 9].map((offset) => lineAt(starts, offset))).toEqual([1, 1, 2, 2, 3, 3]);
});
