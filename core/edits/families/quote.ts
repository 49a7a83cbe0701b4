import { change, type EditContext, type EditFamily, insert, type Proposal } from "../edit.ts";

/** Where inside a text that is not closed its closing sign may belong. */
function closings(text: string): Array<{ at: number; odds: number }> {
  const found: Array<{ at: number; odds: number }> = [];
  const end = text.trimEnd().length;
  const tail = /[\s)\]{};:,]*$/.exec(text.slice(0, end));
  if (tail)
    for (let back = 0; back <= tail[0].length; back++)
      found.push({ at: end - tail[0].length + back, odds: back === 0 ? 1.2 : 0.5 });
  for (const match of text.slice(1).matchAll(/\s*[,+)]|\s*&/g)) found.push({ at: match.index + 1, odds: 0.9 });
  return found.filter((each) => each.at > 0);
}

function mends(context: EditContext): Proposal[] {
  const found: Proposal[] = [];
  const longOpen = context.code.some((token) => token.open && /^[a-zA-Z]*("""|''')/.test(token.text));
  for (const [index, token] of context.code.entries()) {
    if (token.kind !== "text") {
      if (/^[“”„]$/.test(token.text)) found.push(change(token, '"', { sign: token.text }, 1));
      continue;
    }
    const sign = /["']+/.exec(token.text)?.[0] ?? '"';
    const quote = sign[0] ?? '"';
    // Where a long text is not closed, one before it may have ended in two signs and gone on to the next one's beginning.
    if (longOpen && !token.open && token.text.startsWith(quote.repeat(3)))
      for (const match of token.text.matchAll(new RegExp(`${quote}${quote}(?!${quote})(?=[ \\t]*[\\r\\n])`, "g")))
        if (match.index > 2) found.push(insert(token.from + match.index + 2, quote, { sign: quote }, 1.5));
    if (token.open) {
      const triple = token.text.startsWith(quote.repeat(3));
      if (triple) {
        for (const match of token.text.matchAll(new RegExp(`${quote}${quote}(?!${quote})`, "g")))
          if (match.index > 2) found.push(insert(token.from + match.index + 2, quote, { sign: quote }, 1.2));
        for (const match of token.text.slice(3).matchAll(/(?=\r?\n|$)/g))
          found.push(insert(token.from + 3 + match.index, quote.repeat(3), { sign: quote }, 0.4));
        continue;
      }
      for (const { at, odds } of closings(token.text))
        found.push(insert(token.from + at, quote, { sign: quote }, odds));
      // The text began with the other sign, or its opening sign is one too many.
      const other = quote === '"' ? "'" : '"';
      for (const match of token.text.slice(1).matchAll(new RegExp(other, "g")))
        found.push(
          change({ from: token.from + 1 + match.index, to: token.from + 2 + match.index }, quote, { sign: quote }, 0.9),
          change({ from: token.from, to: token.from + 1 }, other, { sign: other }, 0.9),
        );
      found.push(change({ from: token.from, to: token.from + 1 }, "", { sign: quote }, 0.8));
      // Its opening sign may be the closing one of a text that has no opening one.
      const line = context.lines[token.line - 1];
      for (const before of line?.code ?? [])
        if (before.from < token.from && (before.kind === "name" || before.kind === "number"))
          found.push(insert(before.from, quote, { sign: quote }, 0.7));
      // A text inside a text: the sign inside is doubled or has a sign before it.
      const previous = context.code[index - 2];
      if (previous?.kind === "text" && previous.line === token.line)
        found.push(insert(previous.to - 1, context.writing.quoteInside.slice(0, -1), { sign: quote }, 0.8));
    } else if (quote === context.writing.letterQuote && token.text.length > 3 && !token.text.startsWith("'\\")) {
      found.push(change(token, `"${token.text.slice(1, -1)}"`, { sign: '"' }, 1));
    } else if (context.writing.quote === "'" && quote === '"') {
      found.push(change(token, `'${token.text.slice(1, -1)}'`, { sign: "'" }, 1));
    }
  }
  return [...found, ...apostrophes(context), ...doubleForSingle(context)];
}

/** A sign inside a text of a language that doubles it. */
function apostrophes(context: EditContext): Proposal[] {
  if (context.writing.quote !== "'") return [];
  return context.lines.flatMap((line) => {
    const signs = [...line.text.matchAll(/'/g)].map((match) => match.index);
    if (signs.length % 2 === 0) return [];
    return signs.slice(1, -1).map((at) => insert(line.from + at, "'", { sign: "'" }, 0.8));
  });
}

/** Double quotes in a language that has none read as signs of their own. */
function doubleForSingle(context: EditContext): Proposal[] {
  if (context.writing.quote !== "'") return [];
  return context.lines.flatMap((line) => {
    const signs = [...line.text.matchAll(/"/g)].map((match) => match.index);
    const [first, second] = signs;
    if (first === undefined || second === undefined || signs.length !== 2) return [];
    return [
      change(
        { from: line.from + first, to: line.from + second + 1 },
        `'${line.text.slice(first + 1, second)}'`,
        { sign: "'" },
        1.2,
      ),
    ];
  });
}

function plants(context: EditContext): Proposal[] {
  return context.code.flatMap((token) => {
    if (token.kind !== "text" || token.open) return [];
    return [
      change({ from: token.to - 1, to: token.to }, "", { sign: token.text.at(-1) ?? "" }),
      change({ from: token.from, to: token.from + 1 }, "", { sign: token.text[0] ?? "" }),
    ];
  });
}

export const quote: EditFamily = {
  id: "quote",
  says: "the sign around a text: left out, too many, or the other one",
  weight: 11,
  reads: "text",
  mends,
  plants,
  examples: [
    { language: "python", right: 'print("Load", load)\n', faulty: 'print("Load, load)\n' },
    { language: "python", right: 'print("Sail")\n', faulty: 'print("Sail)\n' },
    { language: "java", right: 'class Main { String s = "sail"; }\n', faulty: 'class Main { String s = "sail; }\n' },
    {
      language: "c",
      right: 'void f(int n) { printf("%d cars\\n", n); }\n',
      faulty: 'void f(int n) { printf("%d cars\\n, n); }\n',
    },
    { language: "csharp", right: 'class P { string s = "sail"; }\n', faulty: 'class P { string s = sail"; }\n' },
    { language: "pascal", right: "begin\n  writeln('Sail');\nend.", faulty: "begin\n  writeln('Sail);\nend." },
    { language: "octave", right: 'disp("Sail")\n', faulty: 'disp("Sail)\n' },
  ],
};
