import type { Chart, ChartArrow, ChartBox } from "../../flowcharts/chart.ts";
import { parseProgram } from "./parser.ts";
import { showExpression, showStatement } from "./print.ts";
import type { Expression, ProgramTree, Routine, Statement } from "./syntaxTree.ts";

/** The charts of a program's text; none where it cannot be read whole. */
export function pseudocodeCharts(program: string): Chart[] {
  const { tree, problems } = parseProgram(program);
  return problems.length > 0 ? [] : chartsOf(tree, { statement: showStatement, expression: showExpression });
}

/** An arrow that has no end yet. */
type Loose = { from: string; label: ChartArrow["label"] };

/** How statements and expressions are written in boxes. */
export type BoxWords = { statement: (each: Statement) => string; expression: (each: Expression) => string };

/** The charts of a program: its main part first, then its routines. Statements that follow one another and only work share a box. */
export function chartsOf(tree: ProgramTree, words: BoxWords): Chart[] {
  return [
    chartOf("", tree.body, words, ["Begin", "End"]),
    ...tree.routines.map((routine) => chartOf(routine.name, routine.body, words, [headOf(routine), "Back"])),
  ];
}

const headOf = ({ name, parameters }: Routine): string => `${name}(${parameters.map((each) => each.name).join(", ")})`;

function chartOf(
  name: string,
  body: readonly Statement[],
  words: BoxWords,
  [first, last]: readonly [string, string],
): Chart {
  const boxes: ChartBox[] = [];
  const arrows: ChartArrow[] = [];
  /** The next statement begins a box of its own: an arrow will lead to it. */
  let begins = false;
  const add = (shape: ChartBox["shape"], text: string, line: number | null): string => {
    begins = false;
    const id = `box${boxes.length + 1}`;
    boxes.push({ id, shape, text, lines: line === null ? [] : [line] });
    return id;
  };
  const join = (loose: readonly Loose[], to: string): void => {
    for (const { from, label } of loose) arrows.push({ from, to, label });
  };
  /** Arrows that lead to the end from where the program or routine is left. */
  const leaving: Loose[] = [];

  const all = (statements: readonly Statement[], before: Loose[]): Loose[] => {
    let loose = before;
    for (const each of statements) loose = one(each, loose);
    return loose;
  };
  const one = (each: Statement, before: Loose[]): Loose[] => {
    const box = (shape: ChartBox["shape"], text = words.statement(each), line = each.line): string => {
      const id = add(shape, text, line);
      join(before, id);
      return id;
    };
    switch (each.is) {
      case "if": {
        let loose = before;
        const ends: Loose[] = [];
        for (const arm of each.arms) {
          const id = add("decision", words.expression(arm.condition), arm.line);
          join(loose, id);
          ends.push(...all(arm.body, [{ from: id, label: "yes" }]));
          loose = [{ from: id, label: "no" }];
        }
        return [...ends, ...(each.otherwise ? all(each.otherwise, loose) : loose)];
      }
      case "case": {
        let loose = before;
        const ends: Loose[] = [];
        for (const arm of each.arms) {
          const tests = arm.tests.map(({ from, to }) =>
            to
              ? `${words.expression(each.of)} ≥ ${words.expression(from)} AND ${words.expression(each.of)} ≤ ${words.expression(to)}`
              : `${words.expression(each.of)} = ${words.expression(from)}`,
          );
          const id = add("decision", tests.join(" OR "), arm.line);
          join(loose, id);
          ends.push(...all(arm.body, [{ from: id, label: "yes" }]));
          loose = [{ from: id, label: "no" }];
        }
        return [...ends, ...(each.otherwise ? all(each.otherwise, loose) : loose)];
      }
      case "while": {
        const id = box("decision", words.expression(each.condition));
        join(all(each.body, [{ from: id, label: "yes" }]), id);
        return [{ from: id, label: "no" }];
      }
      case "for": {
        const begin = box("work", `${each.counter} ← ${words.expression(each.from)}`);
        const isDown = each.step?.is === "unary" && each.step.sign === "-";
        const test = add("decision", `${each.counter} ${isDown ? "≥" : "≤"} ${words.expression(each.to)}`, each.line);
        join([{ from: begin, label: "" }], test);
        const after = all(each.body, [{ from: test, label: "yes" }]);
        const step = each.step ? words.expression(each.step) : "1";
        const next = add("work", `${each.counter} ← ${each.counter} + ${step}`, each.line);
        join(after, next);
        join([{ from: next, label: "" }], test);
        return [{ from: test, label: "no" }];
      }
      case "each": {
        const id = box("decision", `another ${each.name} in ${words.expression(each.of)}`);
        join(all(each.body, [{ from: id, label: "yes" }]), id);
        return [{ from: id, label: "no" }];
      }
      case "repeat": {
        const from = boxes.length;
        begins = true;
        const after = all(each.body, before);
        const id = add("decision", words.expression(each.condition), each.untilLine);
        join(after, id);
        const begin = boxes[from]?.id ?? id;
        arrows.push({ from: id, to: begin, label: "no" });
        return [{ from: id, label: "yes" }];
      }
      case "return":
      case "stop":
        leaving.push({ from: box("work"), label: "" });
        return [];
      case "call":
        return [{ from: box("call"), label: "" }];
      case "output":
      case "input":
      case "readfile":
      case "writefile":
        return [{ from: box("input or output"), label: "" }];
      case "declare":
        return before;
      default: {
        // What follows work straight on stands in its box, up to a few lines.
        const [only] = before;
        const open = before.length === 1 && only?.label === "" ? boxes.find(({ id }) => id === only.from) : undefined;
        const isNew =
          begins ||
          open === undefined ||
          open.shape !== "work" ||
          open.lines.length >= 4 ||
          arrows.some(({ from }) => from === open.id);
        if (isNew) return [{ from: box("work"), label: "" }];
        open.text += `\n${words.statement(each)}`;
        open.lines.push(each.line);
        return before;
      }
    }
  };
  const begin = add("begin", first, null);
  const loose = all(body, [{ from: begin, label: "" }]);
  const end = add("end", last, null);
  join([...loose, ...leaving], end);
  return { name, boxes, arrows };
}
