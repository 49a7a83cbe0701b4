import { distance } from "../../source/spelling.ts";
import { change, type EditContext, type EditFamily, type Proposal } from "../edit.ts";
import { ofKind } from "../places.ts";

/** Texts without their quotes, with the quotes. */
function bare(sign: string): { open: string; inner: string; close: string } | null {
  const found = /^([a-zA-Z@$]*(?:"""|'''|"|'))(.*?)("""|'''|"|')$/s.exec(sign);
  return found ? { open: found[1] ?? "", inner: found[2] ?? "", close: found[3] ?? "" } : null;
}

/** True if two texts are nearly the same: a letter or two, letter case, blanks at the ends. */
function alike(one: string, other: string): boolean {
  if (one === other || one === "" || other === "") return false;
  if (one.trim().toLowerCase() === other.trim().toLowerCase()) return true;
  return one.length > 3 && distance(one.toLowerCase(), other.toLowerCase()) <= 2;
}

/** True for the same word in other letters. */
const isSameWord = (one: string, other: string) => one.toLowerCase() === other.toLowerCase();

/** The pieces of the meant texts that may stand where a literal does: whole ones, and parts of a line as long as it is. */
function meant(context: EditContext, inner: string): string[] {
  const trimmed = inner.trim();
  const words = trimmed.split(/\s+/).length;
  const found = new Set<string>();
  for (const text of context.meantTexts)
    for (const line of text.split("\n")) {
      if (alike(line, inner)) found.add(line);
      const parts = line.split(/[\s;,:=|]+/);
      for (let at = 0; at + words <= parts.length; at++) {
        const piece = parts.slice(at, at + words).join(" ");
        if (alike(piece, trimmed)) found.add(inner.replace(trimmed, piece));
      }
    }
  return [...found];
}

/** The sign that a letter stands for behind a backslash, and the other way; the end of a line with the other slash. */
function backslashes({ writing }: EditContext, inner: string, open: string): string[] {
  if (open === writing.letterQuote) {
    if (/^[0nt]$/.test(inner)) return [`\\${inner}`];
    return /^\\[0nt]$/.test(inner) ? [inner.slice(1)] : [];
  }
  return inner.endsWith("/n") ? [`${inner.slice(0, -2)}\\n`] : [];
}

/** A text that is nearly another one that the program has, that lies beside it as a file, or that was to come out. */
function otherTexts(context: EditContext): Proposal[] {
  const texts = ofKind(context, "text");
  const known = new Set(texts.flatMap(({ node }) => bare(node.sign ?? "")?.inner ?? []));
  return texts.flatMap(({ node }) => {
    const parts = bare(node.sign ?? "");
    if (!parts) return [];
    const { open, inner, close } = parts;
    const near = [...known].filter((other) => alike(inner, other)).map((other) => ({ other, odds: 0.7 }));
    const wanted = meant(context, inner).map((other) => ({ other, odds: isSameWord(inner, other) ? 3 : 1 }));
    const cases =
      /[A-Za-z]/.test(inner) && inner.length <= 12
        ? [inner.toLowerCase(), inner.toUpperCase()]
            .filter((other) => other !== inner)
            .map((other) => ({ other, odds: 0.2 }))
        : [];
    const signs = backslashes(context, inner, open).map((other) => ({ other, odds: 1 }));
    return [...wanted, ...near, ...cases, ...signs].map(({ other, odds }) =>
      change(node, open + other + close, { before: inner, after: other }, odds),
    );
  });
}

export const textLiteral: EditFamily = {
  id: "text-literal",
  says: "a text that is nearly the one that is meant",
  weight: 5,
  reads: "tree",
  mends: otherTexts,
  plants: otherTexts,
  examples: [
    {
      language: "python",
      right: 'a = "skua"\nif b == "skua":\n    pass\n',
      faulty: 'a = "skua"\nif b == "SKUA":\n    pass\n',
    },
    {
      language: "java",
      right: 'class Main { String f() { return "SAIL"; } }',
      faulty: 'class Main { String f() { return "sail"; } }',
    },
    {
      language: "c",
      right: "int f(char *t) { int n = 0; while (t[n] != '\\0') n++; return n; }",
      faulty: "int f(char *t) { int n = 0; while (t[n] != '0') n++; return n; }",
    },
    { language: "c", right: 'void f(void) { g("sail"); }', faulty: 'void f(void) { g("SAIL"); }' },
    {
      language: "csharp",
      right: 'class P { string F() { return "sail"; } }',
      faulty: 'class P { string F() { return "SAIL"; } }',
    },
    { language: "pascal", right: "begin\n  writeln('sail');\nend.", faulty: "begin\n  writeln('SAIL');\nend." },
    { language: "octave", right: 'disp("sail")\n', faulty: 'disp("SAIL")\n' },
  ],
};
