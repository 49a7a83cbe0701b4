import { change, type EditContext, type EditFamily, type Proposal } from "../edit.ts";
import { ofKind } from "../places.ts";

const letters = ["d", "s", "f", "lf", "c", "ld", "i", "u", "g", "x"];

/** Formats in texts with another letter or with another number of digits. */
function otherFormats(context: EditContext): Proposal[] {
  const written = [...context.text.matchAll(/%[-+ 0]*\d*\.(\d)l?f/g)].map((match) => match[1] ?? "");
  const meant = context.meantTexts.flatMap((text) =>
    [...text.matchAll(/\d\.(\d{1,4})(?!\d)/g)].map((match) => String(match[1]?.length ?? 0)),
  );
  const decimals = [...new Set([...written, ...meant])].slice(0, 3);
  return ofKind(context, "text").flatMap(({ node }) => {
    const text = node.sign ?? "";
    const found: Proposal[] = [];
    for (const match of text.matchAll(/%([-+ 0]*\d*(?:\.\d+)?)(ld|lf|[dsfciugx])/g)) {
      const at = node.from + match.index;
      const place = { from: at, to: at + match[0].length };
      const flags = match[1] ?? "";
      for (const [rank, letter] of letters.entries())
        if (letter !== match[2])
          found.push(
            change(
              place,
              `%${letter === "d" || letter === "s" || letter === "c" ? flags.replace(/\.\d+/, "") : flags}${letter}`,
              { before: match[0], after: `%${letter}` },
              rank < 4 ? 0.8 : 0.2,
            ),
          );
      // A whole number's letter for a decimal number: as many digits as other formats have, or as what is meant has.
      if (/[dis]/.test(match[2] ?? "") && !flags.includes("."))
        for (const digits of decimals)
          found.push(change(place, `%${flags}.${digits}f`, { before: match[0], after: `%.${digits}f` }, 0.7));
      if (match[2] === "f" && !flags.includes("."))
        found.push(change(place, "%.2f", { before: match[0], after: "%.2f" }, 0.5));
    }
    // The number of a value in a text whose values have numbers.
    if (context.writing.numberedValues)
      for (const match of text.matchAll(/\{(\d)(?=[,:}])/g)) {
        const at = node.from + match.index + 1;
        for (const other of ["0", "1", "2"])
          if (other !== match[1])
            found.push(change({ from: at, to: at + 1 }, other, { before: match[0], after: `{${other}` }, 0.5));
      }
    for (const match of text.matchAll(/\.(\d)(?=l?f|%?\})/g)) {
      const at = node.from + match.index + 1;
      const digits = Number(match[1]);
      for (const other of [digits + 1, digits - 1])
        if (other >= 0 && other < 10)
          found.push(
            change({ from: at, to: at + 1 }, String(other), { before: String(digits), after: String(other) }, 0.6),
          );
    }
    return found;
  });
}

export const formatLetter: EditFamily = {
  id: "format-letter",
  says: "the letter or the digits of a format",
  weight: 6,
  reads: "tree",
  mends: otherFormats,
  plants: otherFormats,
  examples: [
    {
      language: "csharp",
      right: 'class P { void F(double m) { Console.WriteLine("Fee: {0:F2}", m); } }',
      faulty: 'class P { void F(double m) { Console.WriteLine("Fee: {1:F2}", m); } }',
    },
    { language: "python", right: 'print("%.2f" % tide)\n', faulty: 'print("%.1f" % tide)\n' },
    {
      language: "java",
      right: 'class Main { void f(double x) { System.out.printf("%f", x); } }',
      faulty: 'class Main { void f(double x) { System.out.printf("%d", x); } }',
    },
    { language: "c", right: 'void f(double x) { printf("%f", x); }', faulty: 'void f(double x) { printf("%d", x); }' },
    { language: "octave", right: 'printf("%d", n)\n', faulty: 'printf("%s", n)\n' },
  ],
};
