import { change, type EditContext, type EditFamily, insert, type Proposal } from "../edit.ts";

const headers = /^(if|elif|else|for|while|def|class|try|except|finally|with|case)$/;

/** The colon behind what heads a block or a case. */
function mends(context: EditContext): Proposal[] {
  const byIndentation = context.writing.blocks.by === "indentation";
  return context.lines.flatMap((line) => {
    const [first] = line.code;
    const last = line.code.at(-1);
    if (!first || !last) return [];
    const heads = byIndentation ? headers.test(first.text) : /^(case|default)$/.test(first.text);
    const found: Proposal[] = [];
    if (heads) {
      if (last.text !== ":") found.push(insert(last.to, ":", { word: first.text }, byIndentation ? 1.5 : 0.6));
      if (/^[;,.=]$/.test(last.text)) found.push(change(last, ":", { word: first.text }, 1.2));
      if (first.text === "else" && line.code[1]?.text !== ":" && line.code[1]?.text !== "if")
        found.push(insert(first.to, ":", { word: "else" }, 1));
      // The statement stands on the header's line.
      if (!line.code.some((token) => token.text === ":"))
        for (const [at, token] of line.code.entries())
          if (
            at > 1 &&
            line.code[at + 1]?.kind === "keyword" &&
            /^(return|break|print|pass)$/.test(line.code[at + 1]?.text ?? "")
          )
            found.push(insert(token.to, ":", { word: first.text }, 0.8));
      if (!byIndentation && line.code[1] && line.code[2]?.text !== ":")
        found.push(insert((first.text === "default" ? first : line.code[1]).to, ":", { word: first.text }, 1));
      const sign = line.code.find((token, at) => at <= 2 && token.text === ";");
      if (!byIndentation && sign) found.push(change(sign, ":", { word: first.text }, 1));
    }
    if (byIndentation) {
      if (!heads && last.text === ":") found.push(change(last, "", { word: first.text }, 1));
      for (const [at, token] of line.code.entries()) {
        if (token.text !== ":") continue;
        if (at < line.code.length - 1)
          found.push(change(token, "", { word: first.text }, 0.3), change(token, ",", { word: first.text }, 0.3));
        if (line.code[at + 1]?.text === ":") found.push(change(token, "", { word: first.text }, 1));
      }
    }
    return found;
  });
}

function plants(context: EditContext): Proposal[] {
  const byIndentation = context.writing.blocks.by === "indentation";
  return context.lines.flatMap((line) => {
    const [first] = line.code;
    const colon = byIndentation
      ? line.code.findLast((token) => token.text === ":")
      : line.code.find((token) => token.text === ":");
    if (!first || !colon || !(byIndentation ? headers.test(first.text) : /^(case|default)$/.test(first.text)))
      return [];
    return [change(colon, "", { word: first.text }), change(colon, ";", { word: first.text })];
  });
}

export const colon: EditFamily = {
  id: "colon",
  says: "the colon behind what heads a block",
  weight: 12,
  reads: "text",
  mends,
  plants,
  examples: [
    { language: "python", right: "if load > 3:\n    print(load)\n", faulty: "if load > 3\n    print(load)\n" },
    { language: "python", right: "else:\n    print(load)\n", faulty: "else;\n    print(load)\n" },
    {
      language: "java",
      right: "switch (a) {\n  case 1:\n    f();\n}\n",
      faulty: "switch (a) {\n  case 1;\n    f();\n}\n",
    },
    { language: "c", right: "switch (a) {\n  case 1: f();\n}\n", faulty: "switch (a) {\n  case 1 f();\n}\n" },
    { language: "csharp", right: "switch (a) {\n  default: F();\n}\n", faulty: "switch (a) {\n  default F();\n}\n" },
  ],
};
