import { distance } from "../../source/spelling.ts";
import { part } from "../../syntax/tree.ts";
import { change, type EditContext, type EditFamily, type Proposal } from "../edit.ts";
import { namesIn, ofKind } from "../places.ts";

/** Where a loop gives a name its elements (offset), the names that it goes over: it is none of them. */
function walkedNames(context: EditContext): Map<number, Set<string>> {
  return new Map(
    ofKind(context, "foreach").flatMap(({ node }) => {
      const [target, source] = [part(node, "target"), part(node, "source")];
      return target && source ? [[target.from, new Set(namesIn(source))] as const] : [];
    }),
  );
}

/** Names that are nearly another name: one of the program, of the language, or of a part that the program uses. */
function mends(context: EditContext): Proposal[] {
  const { language, names, functions, code } = context;
  const counts = new Map<string, number>();
  for (const token of code) if (token.kind === "name") counts.set(token.text, (counts.get(token.text) ?? 0) + 1);
  const known = new Set([
    ...names,
    ...functions,
    ...[...counts].filter(([, count]) => count > 1).map(([name]) => name),
  ]);
  const types = ["String", "System", "Scanner", "Math", "Console", "Integer", "Double"].filter((type) =>
    language.ownWords.has(type),
  );
  const walked = walkedNames(context);
  return code.flatMap((token) => {
    if (token.kind !== "name" && !(token.kind === "keyword" && !language.profile.caseSensitive)) return [];
    const { text } = token;
    const own = language.ownWords.has(text);
    const rare = (counts.get(text) ?? 0) === 1 || !known.has(text);
    const found: Proposal[] = [];
    const propose = (other: string, usual: number) => {
      if (other === text || walked.get(token.from)?.has(other)) return;
      const most = Math.min(other.length, text.length) > 4 ? 2 : Math.min(other.length, text.length) > 2 ? 1 : 0;
      // Letters that are too many or too few are at least so many slips.
      if (Math.abs(other.length - text.length) > most) return;
      const folded = other.toLowerCase() === text.toLowerCase();
      if (folded && !language.profile.caseSensitive) return;
      const far = folded ? 0 : distance(other.toLowerCase(), text.toLowerCase());
      if (far > most) return;
      found.push(change(token, other, { before: text, after: other }, (folded ? 1.5 : far === 1 ? 1.2 : 0.8) * usual));
    };
    for (const other of known) propose(other, own ? 0.2 : rare ? 1 : 0.3);
    if (!names.includes(text)) for (const other of language.ownWords) propose(other, own ? 0.25 : 0.9);
    for (const other of types) if (!known.has(text)) propose(other, 1);
    return found;
  });
}

/** A letter of a name is left out, or its first letter changes its case. */
function plants(context: EditContext): Proposal[] {
  return context.code.flatMap((token) => {
    if (token.kind !== "name" || token.text.length < 4) return [];
    const { text } = token;
    const shorter = text.slice(0, -2) + text.slice(-1);
    const cased =
      (text[0] === text[0]?.toLowerCase() ? text[0]?.toUpperCase() : text[0]?.toLowerCase()) + text.slice(1);
    const found = [change(token, shorter, { before: text, after: shorter })];
    if (context.language.profile.caseSensitive) found.push(change(token, cased, { before: text, after: cased }));
    return found;
  });
}

export const nameFamily: EditFamily = {
  id: "name",
  says: "a name that is misspelt or has another letter case",
  weight: 11,
  reads: "both",
  onceRead: 0.05,
  mends,
  plants,
  examples: [
    { language: "python", right: "total = 1\nprint(total)\n", faulty: "total = 1\nprint(Total)\n" },
    {
      language: "java",
      right: "class Main { int load; int f() { return load; } }",
      faulty: "class Main { int load; int f() { return lod; } }",
    },
    {
      language: "c",
      right: "int load; int f(void) { return load; }",
      faulty: "int load; int f(void) { return Load; }",
    },
    {
      language: "csharp",
      right: "class P { void F() { Console.Write(1); } }",
      faulty: "class P { void F() { Consoe.Write(1); } }",
    },
    {
      language: "pascal",
      right: "var total: integer;\nbegin\n  total := 1;\n  writeln(total);\nend.",
      faulty: "var total: integer;\nbegin\n  total := 1;\n  writeln(totl);\nend.",
    },
    { language: "octave", right: "total = 1;\ndisp(total)\n", faulty: "total = 1;\ndisp(totl)\n" },
  ],
};
