import { change, type EditContext, type EditFamily, insert, type Proposal } from "../edit.ts";

/** Signs that are written in the wrong order or are another language's. */
const mistaken: ReadonlyArray<readonly [string, string]> = [
  ["=>", ">="],
  ["=<", "<="],
  ["=!", "!="],
  ["<>", "!="],
  ["!=", "<>"],
  ["~=", "!="],
  ["!=", "~="],
  ["===", "=="],
  ["==", "="],
  ["=", "=="],
  ["=", ":="],
  [":=", "="],
  ["==", ":="],
  ["==", "<-"],
  ["==", "←"],
  ["=", "<-"],
  ["=", "←"],
  ["^", "**"],
  ["**", "^"],
  ["//", "/"],
  ["%", "mod"],
  ["&", "&&"],
  ["|", "||"],
  [".", ","],
  [",", "."],
  [";", ","],
  [":", "="],
  ["=", ":"],
  ["≤", "<="],
  ["≥", ">="],
  ["≠", "!="],
  ["–", "-"],
  ["×", "*"],
  ["÷", "/"],
  ["’", "'"],
  ["‘", "'"],
  ["->", "."],
  [".", "->"],
  ["+=", "="],
];

/** True if a language has the sign for something that may stand there: an operator of its own, or a mark between parts. */
function belongs(context: EditContext, sign: string): boolean {
  const { writing } = context;
  if (/^[.,:='-]$/.test(sign)) return true;
  if (sign === "->") return writing.members.includes(sign);
  if (/^[-+*/<>]=?$/.test(sign)) return true;
  const others = writing.otherOperators.flat();
  const { equal, unequal, assign, and, or, divides } = writing;
  return [equal, unequal, assign, and, or, divides.decimal, divides.whole, divides.rest, ...others].includes(sign);
}

function isCondition(context: EditContext, at: number): boolean {
  const line = context.lines[context.lineOf(at) - 1];
  return (
    /^(if|elif|while|elseif|until|return)$/i.test(line?.code[0]?.text ?? "") ||
    line?.code.some((token) => token.from < at && /^(if|while|until)$/i.test(token.text)) === true
  );
}

function replaced(context: EditContext): Proposal[] {
  const { code } = context;
  return code.flatMap((token, at) => {
    const next = code[at + 1];
    const joined = next && next.from === token.to ? token.text + next.text : "";
    return mistaken.flatMap(([before, after]) => {
      if (!belongs(context, after)) return [];
      const two = joined === before && token.text !== before;
      if (token.kind === "text" || (token.text !== before && !two)) return [];
      if (two && before === "==") return [];
      const condition = isCondition(context, token.from);
      let odds = two ? 1.5 : 1;
      if (before === "=" && after === "==") odds = condition ? 2 : 0.1;
      if ((before === "==" || before === ":=") && after === "=") odds = condition ? (before === ":=" ? 2 : 0.05) : 1.5;
      if (before === "=" && /^(?::=|<-|←)$/.test(after)) odds = condition ? 0.1 : 2;
      if (before === "==" && /^(?:<-|←)$/.test(after)) odds = condition ? 0.1 : 3;
      if (before === ":" || after === ":" || before === "." || before === "," || before === ";" || before === "->")
        odds = 0.3;
      if (before === "+=" || before === "//" || before === "%") odds = 0.2;
      if (before === "!=" && after === "<>") odds = 2;
      if (before === "|" || before === "&") odds = 0.3;
      return [
        change({ from: token.from, to: two ? (next?.to ?? token.to) : token.to }, after, { before, after }, odds),
      ];
    });
  });
}

/** A comma, a plus or another sign between two values that stand side by side. */
function between(context: EditContext): Proposal[] {
  const { code } = context;
  const value = (kind: string | undefined) => kind === "name" || kind === "number" || kind === "text";
  return code.flatMap((token, at) => {
    const next = code[at + 1];
    if (!next || next.line !== token.line) return [];
    const ends = value(token.kind) || token.text === ")" || token.text === "]";
    const begins = value(next.kind) || (next.text === "(" && (token.kind === "number" || token.kind === "text"));
    if (!ends || !begins) return [];
    const text = token.kind === "text" || next.kind === "text";
    const found = [
      insert(token.to, ",", { sign: "," }, text ? 1.2 : 0.6),
      insert(token.to, " +", { sign: "+" }, text ? 1 : 0.3),
    ];
    if (!text)
      found.push(
        insert(token.to, " *", { sign: "*" }, 0.5),
        insert(token.to, ` ${context.writing.assign}`, { sign: context.writing.assign }, 0.4),
        insert(token.to, ".", { sign: "." }, 0.3),
      );
    return found;
  });
}

/** Signs too many: doubled ones, and those that stand where nothing may. */
function tooMany(context: EditContext): Proposal[] {
  const { code } = context;
  return code.flatMap((token, at) => {
    const [before, next] = [code[at - 1], code[at + 1]];
    if (token.kind !== "operator" && token.kind !== "other" && token.kind !== "bracket") return [];
    const doubled = before?.text === token.text;
    const beside = next && (next.kind === "operator" || /^[)\]}]$/.test(next.text)) && token.kind === "operator";
    return [
      change(token, "", { sign: token.text }, doubled ? 0.9 : beside ? 0.6 : token.kind === "other" ? 0.8 : 0.12),
    ];
  });
}

/** `i++` where a language has no such step. */
function steps(context: EditContext): Proposal[] {
  if (/\+\+/.test(context.writing.step("x", "+"))) return [];
  return context.lines.flatMap((line) => {
    const found = /^(\s*)(\w+)\s*(\+\+|--)\s*;?\s*$/.exec(line.text);
    if (!found) return [];
    return [
      change(
        { from: line.from, to: line.to },
        `${found[1]}${context.writing.step(found[2] ?? "", found[3] === "++" ? "+" : "-")}`,
        { sign: found[3] ?? "" },
        1.5,
      ),
    ];
  });
}

/** A line that works something out of a name and gives it to nothing: `load * 2;` for `load *= 2;`. */
function unassigned(context: EditContext): Proposal[] {
  const { assign, compound } = context.writing;
  return context.lines.flatMap(({ code }) => {
    const [name, operator, value] = code;
    if (name?.kind !== "name" || !operator || !value || !/^[-+*/%]$/.test(operator.text)) return [];
    if (code.length > 5 || !["name", "number"].includes(value.kind)) return [];
    return compound
      ? [insert(operator.to, assign, { sign: assign }, 1.5)]
      : [insert(name.to, ` ${assign} ${name.text}`, { sign: assign }, 1.5)];
  });
}

function mends(context: EditContext): Proposal[] {
  return [...replaced(context), ...between(context), ...tooMany(context), ...steps(context), ...unassigned(context)];
}

function plants(context: EditContext): Proposal[] {
  return context.code.flatMap((token, at) => {
    const found: Proposal[] = [];
    if (token.kind === "text") return found;
    for (const [before, after] of mistaken)
      if (token.text === after && belongs(context, after) && !/^[.,:;]$/.test(after))
        found.push(change(token, before, { before: after, after: before }));
    const next = context.code[at + 1];
    if (token.text === "," && next) found.push(change(token, "", { before: ",", after: "" }));
    if (token.text === "+" && next)
      found.push(
        change({ from: token.from - (context.text[token.from - 1] === " " ? 1 : 0), to: token.to }, "", {
          before: "+",
          after: "",
        }),
      );
    return found;
  });
}

export const sign: EditFamily = {
  id: "sign",
  says: "a sign that is another one, left out, or too many",
  weight: 9,
  reads: "text",
  mends,
  plants,
  examples: [
    { language: "python", right: "if load == 3:\n    pass\n", faulty: "if load = 3:\n    pass\n" },
    { language: "python", right: 'print("Load", load)\n', faulty: 'print("Load" load)\n' },
    {
      language: "java",
      right: "class Main { boolean f(int a) { return a >= 3; } }",
      faulty: "class Main { boolean f(int a) { return a => 3; } }",
    },
    { language: "c", right: "void f(int a) { if (a == 3) g(); }", faulty: "void f(int a) { if (a = 3) g(); }" },
    {
      language: "csharp",
      right: 'class P { void F(int a) { G("x" + a); } }',
      faulty: 'class P { void F(int a) { G("x" a); } }',
    },
    { language: "pascal", right: "begin\n  a := 1;\nend.", faulty: "begin\n  a = 1;\nend." },
    { language: "octave", right: "if a == 3\n  b = 1;\nend\n", faulty: "if a = 3\n  b = 1;\nend\n" },
  ],
};
