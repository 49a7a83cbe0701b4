import { change, type EditContext, type EditFamily, type EditLine, insert, type Proposal } from "../edit.ts";

/** True if a statement may end with this token. */
function mayEnd(line: EditLine): boolean {
  const last = line.code.at(-1);
  if (!last) return false;
  if (last.kind === "operator") return last.text === "++" || last.text === "--" || last.text === "^";
  return !["{", "}", "(", "[", ";", ":"].includes(last.text);
}

function isHeader(line: EditLine): boolean {
  const [first] = line.code;
  return /^(if|else|for|while|switch|foreach|class|public|static|void|function|procedure|program|begin|repeat|then|do|case|var|#)$/i.test(
    first?.text ?? "",
  );
}

/** What heads the block that this line's brace closes, by its blanks. */
function openedBy(context: EditContext, line: EditLine): string {
  const header = context.lines
    .slice(0, line.number - 1)
    .findLast((each) => each.code.length > 0 && each.indent.length <= line.indent.length);
  return header?.text.trim() ?? "";
}

/** The sign that ends a statement put at a line's end, or before a block's end; or a sign too many taken out. */
function mends(context: EditContext): Proposal[] {
  const { statementEnd, blocks, recordHead } = context.writing;
  if (statementEnd === "") return [];
  const paired = blocks.by === "two words" || blocks.by === "end word";
  const found: Proposal[] = [];
  for (const line of context.lines) {
    const last = line.code.at(-1);
    if (!last || line.text.trimStart().startsWith("#")) continue;
    const next = context.lines.slice(line.number).find((each) => each.code.length > 0);
    const goesOn = next && next.indent.length > line.indent.length;
    const parts = paired && /^(end|else|until)$/i.test(next?.code[0]?.text ?? "");
    if (recordHead && line.text.trim() === "}" && recordHead.test(openedBy(context, line)))
      found.push(insert(last.to, statementEnd, { line: String(line.number) }, 1.5));
    if (mayEnd(line) && !(paired && /^(begin|then|do|of|repeat|else|var)$/i.test(last.text)))
      found.push(
        insert(
          last.to,
          statementEnd,
          { line: String(line.number) },
          (isHeader(line) ? 0.3 : 1) * (goesOn ? 0.4 : 1) * (parts ? 0.3 : 1),
        ),
      );
    for (const [at, token] of line.code.entries()) {
      const after = line.code[at + 1] ?? next?.code[0];
      // Inside a line: before a word that begins a statement, or the end of a block.
      if (
        at < line.code.length - 1 &&
        token.text !== statementEnd &&
        token.kind !== "operator" &&
        (after?.text === "}" || /^(return|break|end)$/i.test(after?.text ?? "")) &&
        !/^[{}:]$/.test(token.text)
      )
        found.push(insert(token.to, statementEnd, { line: String(line.number) }, 0.8));
      if (token.text !== statementEnd) continue;
      const beforeElse = after?.text.toLowerCase() === "else";
      const before = line.code[at - 1];
      const behindHeader = before && (before.text === ")" || /^(do|then)$/i.test(before.text)) && isHeader(line);
      const inBrackets = at < line.code.length - 1;
      found.push(
        change(
          token,
          "",
          { line: String(line.number) },
          beforeElse
            ? paired
              ? 2
              : 0.6
            : behindHeader
              ? 1.2
              : after?.text === statementEnd
                ? 1
                : inBrackets
                  ? 0.5
                  : 0.15,
        ),
      );
      if (inBrackets) found.push(change(token, ",", { line: String(line.number) }, 0.3));
    }
    // Two of the three parts of a counted loop with a comma between them.
    for (const token of line.code)
      if (token.text === "," && line.code.some((each) => each.text === "for"))
        found.push(change(token, statementEnd, { line: String(line.number) }, 0.8));
  }
  return found;
}

function plants(context: EditContext): Proposal[] {
  const { statementEnd } = context.writing;
  if (statementEnd === "") return [];
  return context.lines.flatMap((line) =>
    line.code.flatMap((token, at) => {
      if (token.text !== statementEnd) return [];
      const out = [change(token, "", { line: String(line.number) })];
      const comma = line.code.some((each) => each.text === "for") && at < line.code.length - 1;
      return comma ? [...out, change(token, ",", { line: String(line.number) })] : out;
    }),
  );
}

export const terminator: EditFamily = {
  id: "terminator",
  says: "the sign that ends a statement: left out, or one too many",
  weight: 12,
  reads: "text",
  mends,
  plants,
  examples: [
    {
      language: "c",
      right: "struct car {\n  int load;\n};\nint f(void) { return 1; }\n",
      faulty: "struct car {\n  int load;\n}\nint f(void) { return 1; }\n",
    },
    { language: "java", right: "class Main {\n  int cars = 4;\n}\n", faulty: "class Main {\n  int cars = 4\n}\n" },
    { language: "c", right: "int cars = 4;\nint load;\n", faulty: "int cars = 4\nint load;\n" },
    { language: "csharp", right: "class P {\n  void F() { G(); }\n}\n", faulty: "class P {\n  void F() { G() }\n}\n" },
    { language: "pascal", right: "begin\n  a := 1;\n  b := 2;\nend.", faulty: "begin\n  a := 1\n  b := 2;\nend." },
  ],
};
