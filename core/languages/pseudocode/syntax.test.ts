import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { editContext } from "../../edits/context.ts";
import { applyEdit, type Edit, invertEdit } from "../../edits/edit.ts";
import { proposeEdits } from "../../edits/families.ts";
import { parseProgram } from "../../interpreters/pseudocode/parser.ts";
import { printProgram } from "../../interpreters/pseudocode/print.ts";
import { pseudocodeStyles } from "../../interpreters/pseudocode/style.ts";
import { programs } from "../../interpreters/pseudocode/testPrograms.ts";
import { nodesOf, part, type SyntaxNode } from "../../syntax/tree.ts";
import { mixedSpellings } from "./mixed.ts";
import { pseudocode } from "./pseudocode.ts";
import { pseudocodeSyntax } from "./syntax.ts";
import { pseudocodeTokens } from "./tokens.ts";

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

/** What a tree is of, without places and spellings. */
const outline = (node: SyntaxNode): string =>
  `${node.kind}${node.role ? `/${node.role}` : ""}(${node.children.map(outline).join(" ")})`;

describe("programs as trees", () => {
  test("programs by chance are read whole, in every style alike", () => {
    fc.assert(
      fc.property(programs, (program) => {
        const { tree } = parseProgram(program);
        const outlines = pseudocodeStyles.map((style) => {
          const text = printProgram(tree, style);
          const read = pseudocodeSyntax(text);
          holds(read, text);
          expect(nodesOf(read).filter((node) => node.kind === "error")).toEqual([]);
          return outline(read);
        });
        expect(new Set(outlines).size).toBe(1);
      }),
      { numRuns: process.env.BENT_NAIL_LONG ? 1000 : 12 },
    );
  });

  test("cut and spliced programs are read as well, and every edit of them lies within and can be taken back", () => {
    fc.assert(
      fc.property(programs, programs, fc.nat(), fc.nat(), (one, other, from, to) => {
        const text = one.slice(0, from % one.length) + other.slice(to % other.length);
        holds(pseudocodeSyntax(text), text);
        const context = editContext(pseudocode, text);
        const lies = (edit: Edit) => edit.from <= edit.to && edit.to <= text.length;
        const goesBack = (edit: Edit) => applyEdit(applyEdit(text, edit), invertEdit(text, edit)) === text;
        for (const way of ["mend", "mend a refusal", "plant"] as const)
          expect(context && proposeEdits(context, way).filter((edit) => !lies(edit) || !goesBack(edit))).toEqual([]);
      }),
      { numRuns: process.env.BENT_NAIL_LONG ? 300 : 4 },
    );
  });

  test("operators bind as the language says", () => {
    const shape = (node: SyntaxNode | undefined): string =>
      !node || node.children.length === 0
        ? (node?.sign ?? "")
        : node.kind === "unary"
          ? `(${node.sign} ${shape(part(node, "operand"))})`
          : `(${[part(node, "left"), part(node, "right")].map(shape).join(` ${node.sign} `)})`;
    const value = (text: string) =>
      shape(nodesOf(pseudocodeSyntax(`x <- ${text}\n`)).find((node) => node.role === "value"));
    expect(value("a + b * c - d")).toBe("((a + (b * c)) - d)");
    expect(value("a + b DIV c")).toBe("(a + (b DIV c))");
    expect(value("-a ^ 2")).toBe("(- (a ^ 2))");
    expect(value("a ^ -b ^ c")).toBe("(a ^ (- (b ^ c)))");
    expect(value("NOT a = b AND c OR d")).toBe("(((NOT (a = b)) AND c) OR d)");
  });

  test("a decision on one line, one over several lines, and a value beside its colon", () => {
    const text = `IF late THEN fare <- 2 ELSE fare <- 1
CASE OF deck
  1, 2: OUTPUT "low"
  3 TO 5: OUTPUT "high"
  OTHERWISE OUTPUT "none"
ENDCASE
`;
    const tree = pseudocodeSyntax(text);
    expect(tree.children.map((node) => node.kind)).toEqual(["if", "switch"]);
    const [decision, cases] = tree.children;
    expect(decision?.children.map((node) => node.role)).toEqual(["condition", "body", "otherwise"]);
    expect(cases?.children.map((node) => node.kind)).toEqual(["name", "case", "case", "case"]);
  });
});

test("spellings of two styles in one program are named once, where the second one stands", () => {
  const noticed = (program: string) =>
    mixedSpellings({ language: pseudocode, code: pseudocodeTokens(program) }).map(({ line, says }) => [line, says]);
  expect(noticed("fare ← 3\nbags := 2\nPRINT fare\nOUTPUT bags\n")).toEqual([
    [2, "Here a value is given with :=, in line 1 with ←."],
    [4, "Here something is printed with OUTPUT, in line 3 with PRINT."],
  ]);
  expect(noticed('fare ← 3\noutput fare\nOUTPUT "a := b"\n')).toEqual([]);
});

describe("edits are written as the program is", () => {
  const planted = (family: string, program: string): string[] => {
    const context = editContext(pseudocode, program);
    if (!context) throw new Error("no trees");
    return proposeEdits(context, "plant")
      .filter((edit) => edit.family === family)
      .map((edit) => applyEdit(program, edit));
  };
  test("small letters stay small, drawn signs stay drawn", () => {
    expect(planted("logic-word", "while a > 1 and b\n  b = late\nendwhile\n")).toContain(
      "while a > 1 or b\n  b = late\nendwhile\n",
    );
    expect(planted("comparison", "IF tide ≥ 3 THEN\n  OUTPUT tide\nENDIF\n")).toContain(
      "IF tide ≤ 3 THEN\n  OUTPUT tide\nENDIF\n",
    );
    expect(planted("comparison", "IF tide > 3 THEN\n  fare := 3\nENDIF\n")).toContain(
      "IF tide >= 3 THEN\n  fare := 3\nENDIF\n",
    );
  });
  test("a loop that nothing moves gets a step in the program's own way of giving values", () => {
    const program = "n <- 0\nWHILE n < 3 DO\n  OUTPUT n\nENDWHILE\n";
    const mended = (text: string) =>
      proposeEdits(editContext(pseudocode, text) as NonNullable<ReturnType<typeof editContext>>, "mend").map((edit) =>
        applyEdit(text, edit),
      );
    expect(mended(program)).toContain("n <- 0\nWHILE n < 3 DO\n  OUTPUT n\n  n <- n + 1\nENDWHILE\n");
    expect(mended("SET n TO 0\nWHILE n < 3 DO\n  DISPLAY n\nEND WHILE\n")).toContain(
      "SET n TO 0\nWHILE n < 3 DO\n  DISPLAY n\n  SET n TO n + 1\nEND WHILE\n",
    );
  });
  test("the word that closes a block is the one of its header", () => {
    const without = "FOR trip <- 1 TO 3\n  OUTPUT trip\nOUTPUT 9\n";
    const mended = proposeEdits(
      editContext(pseudocode, without) as NonNullable<ReturnType<typeof editContext>>,
      "mend a refusal",
    ).map((edit) => applyEdit(without, edit));
    expect(mended).toContain("FOR trip <- 1 TO 3\n  OUTPUT trip\nNEXT trip\nOUTPUT 9\n");
  });
});
