import type { PlacedToken } from "../../syntax/placed.ts";
import { change, type EditContext, type EditFamily, type EditLine, insert, type Proposal } from "../edit.ts";
import { headersWithoutBrace } from "../headers.ts";
import { lineEndOf } from "../places.ts";

const partner: Readonly<Record<string, string>> = { "(": ")", "[": "]", "{": "}", ")": "(", "]": "[", "}": "{" };
const opens = new Set(["(", "[", "{"]);
/** Brackets without a partner, at most, of a program in which one of them may be what is wrong. */
const mostUnpaired = 40;

/** Brackets that have no partner: a closing one that does not fit the last opening one may belong to one further out. */
function unpaired(tokens: readonly PlacedToken[]): { open: PlacedToken[]; close: PlacedToken[] } {
  const stack: PlacedToken[] = [];
  const open: PlacedToken[] = [];
  const close: PlacedToken[] = [];
  for (const token of tokens) {
    if (token.kind !== "bracket") continue;
    if (opens.has(token.text)) stack.push(token);
    else {
      const at = stack.findLastIndex((each) => each.text === partner[token.text]);
      if (at < 0) close.push(token);
      else open.push(...stack.splice(at).slice(1));
    }
  }
  return { open: [...open, ...stack], close };
}

/** Opening braces with the closing ones that pair off with them. */
function pairs(tokens: readonly PlacedToken[]): Array<[PlacedToken, PlacedToken | undefined]> {
  const found: Array<[PlacedToken, PlacedToken | undefined]> = [];
  const stack: Array<[PlacedToken, PlacedToken | undefined]> = [];
  for (const token of tokens) {
    if (token.text === "{" && token.kind === "bracket") {
      const pair: [PlacedToken, PlacedToken | undefined] = [token, undefined];
      found.push(pair);
      stack.push(pair);
    } else if (token.text === "}" && token.kind === "bracket") {
      const pair = stack.pop();
      if (pair) pair[1] = token;
    }
  }
  return found;
}

/** Behind which tokens of a line a closing bracket may stand, the likeliest last. */
function closings(line: EditLine, from: number): Array<{ at: number; odds: number }> {
  const after = line.code.filter((token) => token.from >= from);
  return after.flatMap((token, index) => {
    const next = after[index + 1];
    if (token.kind === "operator" || token.text === "," || token.text === ";") return [];
    const end = !next || /^[;:{]$/.test(next.text) || /^(then|do|of)$/i.test(next.text);
    const before = next && (next.kind === "operator" || next.text === "," || next.kind === "bracket");
    return end || before ? [{ at: token.to, odds: end ? 1 : 0.4 }] : [];
  });
}

/** Words by which a statement goes on behind the brace of its first part. */
const goesOn = /^(?:else|catch|finally)$/;

/** True for a program that writes a brace on a line of its own before `else`. */
const partsBranches = (context: EditContext) =>
  context.lines.some(
    ({ code, number }) =>
      code.length === 1 && code[0]?.text === "}" && goesOn.test(context.lines[number]?.code[0]?.text ?? ""),
  );

/** A closing brace where the lines come back to the indentation of what opened it. */
function braceEnds(context: EditContext, opening: PlacedToken): Proposal[] {
  const own = context.lines[opening.line - 1];
  if (!own) return [];
  const found: Proposal[] = [];
  const last = own.code.at(-1);
  if (last && last !== opening) found.push(insert(last.to, " }", { bracket: "}" }, 1.2));
  const ending = lineEndOf(context);
  let before = own;
  for (const line of context.lines.slice(opening.line)) {
    if (line.code.length === 0) continue;
    // Where the lines come back to where the header stands, or at a brace that belongs further out.
    const back = line.indent.length <= own.indent.length;
    const [first] = line.code;
    if (first && goesOn.test(first.text) && last === opening)
      found.push(insert(first.from, "} ", { bracket: "}" }, partsBranches(context) ? 0.9 : 1.3));
    if (back || first?.text === "}") {
      found.push(insert(line.from, `${own.indent}}${ending}`, { bracket: "}" }, back ? 1 : 0.8));
      const end = before.code.at(-1);
      if (end) found.push(insert(end.to, " }", { bracket: "}" }, 0.4));
    }
    if (line.indent.length < own.indent.length) break;
    before = line;
  }
  const text = context.text;
  found.push(
    insert(text.length, `${/[\r\n]$/.test(text) ? "" : ending}${own.indent}}${ending}`, { bracket: "}" }, 0.8),
  );
  return found;
}

function mends(context: EditContext): Proposal[] {
  const { open, close } = unpaired(context.code);
  if (open.length + close.length > mostUnpaired) return [];
  const found: Proposal[] = [];
  for (const token of open) {
    const line = context.lines[token.line - 1];
    const sign = partner[token.text] ?? "";
    if (!line) continue;
    if (token.text === "{" && context.writing.blocks.by === "braces") {
      // The one that has no partner is the outermost; the one that misses it may be any behind it.
      for (const [opening, closing] of pairs(context.code)) {
        if (opening.from < token.from) continue;
        const fits = closing && context.lines[opening.line - 1]?.indent === context.lines[closing.line - 1]?.indent;
        const odds = fits ? 0.3 : 1;
        found.push(...braceEnds(context, opening).map((each) => ({ ...each, odds: each.odds * odds })));
      }
      found.push(change(token, "", { bracket: "{" }, 0.3));
      continue;
    }
    for (const { at, odds } of closings(line, token.to)) found.push(insert(at, sign, { bracket: sign }, odds));
    found.push(insert(token.to, sign, { bracket: sign }, 0.2), change(token, "", { bracket: token.text }, 0.4));
    // A list that goes over lines ends with a later one.
    for (const later of context.lines.slice(token.line, token.line + 8)) {
      const end = later.code.at(-1);
      if (!end) continue;
      found.push(insert(end.to, sign, { bracket: sign }, 0.4));
      if (end.text === "," || end.text === ";") found.push(insert(end.from, sign, { bracket: sign }, 0.4));
    }
  }
  // Inside a line that is balanced by its neighbours alone: a list of lists, a condition in brackets.
  for (const line of context.lines) {
    const own = unpaired(line.code);
    for (const token of own.open) {
      if (open.includes(token) || token.text === "{") continue;
      const sign = partner[token.text] ?? "";
      for (const { at, odds } of closings(line, token.to)) found.push(insert(at, sign, { bracket: sign }, odds * 0.6));
      const end = line.code.at(-1);
      if (end?.text === ",") found.push(insert(end.from, sign, { bracket: sign }, 0.8));
    }
  }
  const headless = new Set(close.some((token) => token.text === "}") ? headersWithoutBrace(context) : []);
  for (const token of close) {
    const line = context.lines[token.line - 1];
    const sign = partner[token.text] ?? "";
    // Where a header lacks its brace, it is not the end that is too many.
    const isNeeded = token.text === "}" && headless.size > 0;
    found.push(change(token, "", { bracket: token.text }, isNeeded ? 0.2 : 1));
    if (!line || token.text === "}") continue;
    for (const [at, each] of line.code.entries()) {
      if (each.from >= token.from) break;
      const before = line.code[at - 1];
      const value = each.kind === "name" || each.kind === "number" || each.kind === "text";
      const named = before?.kind === "name" && each.kind !== "operator";
      if (value || (each.kind === "operator" && named))
        found.push(insert(before && named ? before.to : each.from, sign, { bracket: sign }, named ? 0.8 : 0.3));
    }
  }
  // Headers whose block has no opening brace.
  if (context.writing.blocks.by === "braces" && close.some((token) => token.text === "}"))
    for (const line of context.lines) {
      const last = line.code.at(-1);
      if (last && (last.text === ")" || last.text === "else" || /^(class|struct)$/.test(line.code.at(-2)?.text ?? "")))
        found.push(insert(last.to, " {", { bracket: "{" }, headless.has(line) ? 3 : 0.9));
    }
  // A closing one of another kind.
  for (const token of close)
    for (const opening of open)
      if (opening.line === token.line && opening.from < token.from)
        found.push(change(token, partner[opening.text] ?? "", { bracket: token.text }, 1.5));
  // A call without brackets: print "x".
  for (const line of context.lines) {
    const [first, second] = line.code;
    const last = line.code.at(-1);
    if (
      first?.kind === "name" &&
      second &&
      last &&
      (second.kind === "text" || second.kind === "name" || second.kind === "number") &&
      context.writing.statementEnd === ""
    )
      found.push(
        change(
          { from: first.to, to: last.to },
          `(${context.text.slice(second.from, last.to)})`,
          { bracket: "()" },
          first.text === "print" ? 2 : 0.3,
        ),
      );
    if (
      /^(if|while|for|switch)$/.test(first?.text ?? "") &&
      second &&
      second.text !== "(" &&
      context.writing.blocks.by === "braces"
    ) {
      const end = line.code.findLast((token) => token.text !== "{" && token.text !== ";");
      if (end)
        found.push(
          change(
            { from: second.from, to: end.to },
            `(${context.text.slice(second.from, end.to)})`,
            { bracket: "()" },
            0.8,
          ),
        );
    }
  }
  return found;
}

/** A bracket taken out: of a pair on one line either one, a brace that stands alone with its line. */
function plants(context: EditContext): Proposal[] {
  return context.code.flatMap((token) => {
    if (token.kind !== "bracket") return [];
    const line = context.lines[token.line - 1];
    const next = context.lines[token.line];
    const alone = line && line.code.length === 1 && next;
    return [
      alone
        ? change({ from: line.from, to: next.from }, "", { bracket: token.text })
        : change(token, "", { bracket: token.text }),
    ];
  });
}

export const bracket: EditFamily = {
  id: "bracket",
  says: "a bracket that is left out, too many, or of another kind",
  weight: 11,
  reads: "text",
  mends,
  plants,
  examples: [
    { language: "python", right: "print(round(load, 2))\n", faulty: "print(round(load, 2)\n" },
    { language: "python", right: "print(load)\n", faulty: "print(load\n" },
    {
      language: "java",
      right: "class Main {\n  void f() {\n    g();\n  }\n}\n",
      faulty: "class Main {\n  void f() {\n    g();\n}\n",
    },
    {
      language: "c",
      right: "void f(int n) {\n  if (n > 3)\n    g();\n}\n",
      faulty: "void f(int n) {\n  if (n > 3\n    g();\n}\n",
    },
    {
      language: "csharp",
      right: "class P {\n  void F() {\n    G(1);\n  }\n}\n",
      faulty: "class P {\n  void F() {\n    G(1;\n  }\n}\n",
    },
    { language: "pascal", right: "begin\n  writeln(a[1]);\nend.", faulty: "begin\n  writeln(a[1);\nend." },
    { language: "octave", right: "x = round(y * 10);\n", faulty: "x = round(y * 10;\n" },
  ],
};
