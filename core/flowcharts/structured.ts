import { parseProgram } from "../interpreters/pseudocode/parser.ts";
import { type ChartProblem, readChartText, type StepsAndArrows } from "./chartText.ts";

/** The program of a chart, or why there is none: problems by lines of the chart. */
export type ChartProgram = { program: string; problems: [] } | { program: null; problems: ChartProblem[] };

class Unstructured extends Error {
  readonly box: string;
  constructor(box: string, says: string) {
    super(says);
    this.box = box;
  }
}

/** A box that ends the program wherever it stands. */
const leaves = (text: string): boolean => /^\s*(?:STOP|RETURN)\b/i.test(text);

/** What leads where in a chart, with what every way to a box, and every way from it to the end, goes through. */
function waysOf({ boxes, arrows }: StepsAndArrows) {
  const ids = ["begin", "end", ...boxes.map(({ id }) => id)];
  const boxOf = new Map(boxes.map((box) => [box.id, box]));
  const after = new Map(ids.map((id) => [id, [] as string[]]));
  const before = new Map(ids.map((id) => [id, [] as string[]]));
  for (const { from, to } of arrows) {
    if (leaves(boxOf.get(from)?.text ?? "")) continue;
    after.get(from)?.push(to);
    before.get(to)?.push(from);
  }
  const throughAll = (first: string, next: ReadonlyMap<string, string[]>): Map<string, ReadonlySet<string>> => {
    const all = new Set(ids);
    const found = new Map<string, ReadonlySet<string>>(ids.map((id) => [id, id === first ? new Set([id]) : all]));
    for (let changed = true; changed; ) {
      changed = false;
      for (const id of ids) {
        if (id === first) continue;
        const [one, ...others] = (next.get(id) ?? []).map((each) => found.get(each) ?? all);
        if (one === undefined) continue;
        const shared = new Set([...one].filter((each) => others.every((other) => other.has(each))));
        shared.add(id);
        if (shared.size !== found.get(id)?.size) {
          found.set(id, shared);
          changed = true;
        }
      }
    }
    return found;
  };
  const onTheWayTo = throughAll("begin", before);
  const onTheWayFrom = throughAll("end", after);
  /** The boxes of the loop that goes back to `head`. */
  const loopOf = (head: string): ReadonlySet<string> => {
    const found = new Set([head]);
    const open = (before.get(head) ?? []).filter((id) => onTheWayTo.get(id)?.has(head));
    for (let id = open.pop(); id !== undefined; id = open.pop())
      if (!found.has(id)) {
        found.add(id);
        open.push(...(before.get(id) ?? []));
      }
    return found;
  };
  const backTo = (head: string): string[] =>
    (before.get(head) ?? []).filter((id) => onTheWayTo.get(id)?.has(head) === true);
  /** Where all ways from a box come together again: the nearest box that all of them go through. */
  const joinOf = (id: string): string => {
    const all = [...(onTheWayFrom.get(id) ?? [])].filter((each) => each !== id);
    if (all.length >= ids.length - 1) return "end";
    return all.find((each) => all.every((other) => onTheWayFrom.get(each)?.has(other))) ?? "end";
  };
  return { boxOf, after, loopOf, backTo, joinOf };
}

/**
 * The program that a chart stands for, in pseudocode: loops and decisions are found by where ways come together and where arrows lead
 * back (dominators and natural loops: Aho, Lam, Sethi, Ullman, Compilers, 2nd edition, sections 9.6.1 to 9.6.6). A chart whose arrows
 * jump into or out of a loop in another way is said to be none.
 */
export function programOfChart(text: string): ChartProgram {
  const { chart, problems } = readChartText(text);
  if (problems.length > 0) return { program: null, problems };
  const { boxOf, after, loopOf, backTo, joinOf } = waysOf(chart);
  const lines: Array<{ text: string; box: string }> = [];
  const written = new Set<string>();
  const put = (depth: number, box: string, line: string) => lines.push({ text: "    ".repeat(depth) + line, box });
  const ways = (id: string): { yes: string; no: string } => {
    const to = (label: "yes" | "no") =>
      chart.arrows.find((arrow) => arrow.from === id && arrow.label === label)?.to ?? "end";
    return { yes: to("yes"), no: to("no") };
  };
  const turned = (condition: string, holds: boolean): string => (holds ? condition : `NOT (${condition})`);
  const once = (id: string): void => {
    if (written.has(id))
      throw new Unstructured(id, `Arrows lead to ${id} from places that no decision or loop brings together.`);
    written.add(id);
  };

  /** Writes what lies from a box up to another one, which is left out. `open` are the loops around it. */
  const write = (first: string, stop: string, depth: number, open: readonly string[]): void => {
    let id = first;
    while (id !== stop) {
      const box = boxOf.get(id);
      if (id === "end") {
        put(depth, id, "STOP");
        return;
      }
      if (!box || open.includes(id))
        throw new Unstructured(
          id,
          `The arrow to ${id} leads into a loop from its middle: lead it to where the loop asks.`,
        );
      if (backTo(id).length > 0 && !written.has(`loop ${id}`)) {
        written.add(`loop ${id}`);
        id = writeLoop(id, depth, open);
        continue;
      }
      once(id);
      if (!box.asks) {
        for (const statement of box.text.split(/\s*;\s*/)) put(depth, id, statement);
        if (leaves(box.text)) return;
        id = after.get(id)?.[0] ?? "end";
        continue;
      }
      const join = joinOf(id);
      const { yes, no } = ways(id);
      const [onYes, onNo] = yes === join ? [no, join] : [yes, no];
      put(depth, id, `IF ${turned(box.text, yes !== join)} THEN`);
      write(onYes, join, depth + 1, open);
      if (onNo !== join) {
        put(depth, id, "ELSE");
        write(onNo, join, depth + 1, open);
      }
      put(depth, id, "ENDIF");
      id = join;
    }
  };
  /** Writes the loop that goes back to a box; gives where it goes on behind. */
  const writeLoop = (head: string, depth: number, open: readonly string[]): string => {
    const inside = loopOf(head);
    const box = boxOf.get(head);
    const { yes, no } = ways(head);
    if (box?.asks && inside.has(yes) !== inside.has(no)) {
      once(head);
      put(depth, head, `WHILE ${turned(box.text, inside.has(yes))} DO`);
      write(inside.has(yes) ? yes : no, head, depth + 1, [...open, head]);
      put(depth, head, "ENDWHILE");
      return inside.has(yes) ? no : yes;
    }
    const [last, ...others] = backTo(head);
    const asks = last === undefined ? undefined : boxOf.get(last);
    const out = last === undefined ? { yes: "", no: "" } : ways(last);
    if (last === undefined || others.length > 0 || !asks?.asks || inside.has(out.yes) === inside.has(out.no))
      throw new Unstructured(
        head,
        `The loop that goes back to ${head} is left nowhere, or in more than one place: one question at its begin or its end decides.`,
      );
    put(depth, head, "REPEAT");
    write(head, last, depth + 1, open);
    once(last);
    put(depth, last, `UNTIL ${turned(asks.text, !inside.has(out.yes))}`);
    return inside.has(out.yes) ? out.no : out.yes;
  };
  const lineOf = (id: string): number => boxOf.get(id)?.line ?? 1;
  try {
    write(after.get("begin")?.[0] ?? "end", "end", 0, []);
  } catch (problem) {
    if (!(problem instanceof Unstructured)) throw problem;
    return { program: null, problems: [{ line: lineOf(problem.box), says: problem.message }] };
  }
  const left = chart.boxes.find(({ id }) => !written.has(id));
  if (left)
    return {
      program: null,
      problems: [{ line: left.line, says: `The arrows around ${left.id} are not those of decisions and loops.` }],
    };
  const program = lines.map((line) => `${line.text}\n`).join("");
  const [wrong] = parseProgram(program).problems;
  if (wrong)
    return {
      program: null,
      problems: [{ line: lineOf(lines[wrong.line - 1]?.box ?? ""), says: wrong.says }],
    };
  return { program, problems: [] };
}
