import { type EditContext, type EditFamily, insert, type Proposal } from "../edit.ts";
import { lineEndOf } from "../places.ts";

/** Lines that make a library's names known, for the names that the program uses. */
function mends(context: EditContext): Proposal[] {
  const used = new Set(context.code.filter((token) => token.kind === "name").map((token) => token.text));
  const ending = lineEndOf(context);
  return context.writing.inclusions.flatMap(({ words, line }) => {
    const mentioned = [...words].find((word) => used.has(word));
    if (mentioned === undefined || context.text.includes(line)) return [];
    const unit = /^uses (\w+);$/.exec(line)?.[1];
    const uses = context.code.findIndex((token) => token.text.toLowerCase() === "uses");
    if (unit !== undefined) {
      const end = context.code.find((token, at) => at > uses && token.text === ";");
      if (uses >= 0 && end) return [insert(end.from, `, ${unit}`, { line, word: mentioned })];
      const heading =
        context.code[0]?.text.toLowerCase() === "program"
          ? context.code.find((token) => token.text === ";")
          : undefined;
      return heading
        ? [insert(heading.to, `${ending}${line}`, { line, word: mentioned })]
        : [insert(0, line + ending, { line, word: mentioned })];
    }
    return [insert(0, line + ending, { line, word: mentioned })];
  });
}

function plants(context: EditContext): Proposal[] {
  const lines = context.writing.inclusions.map((each) => each.line);
  return context.lines.flatMap((line) => {
    const next = context.lines[line.number];
    return next && lines.includes(line.text.trim())
      ? [{ from: line.from, to: next.from, text: "", parameters: { line: line.text.trim() }, odds: 1 }]
      : [];
  });
}

export const inclusion: EditFamily = {
  id: "inclusion",
  says: "a library that is not made known",
  weight: 9,
  reads: "both",
  mends,
  plants,
  examples: [
    { language: "python", right: "import math\nprint(math.pi)\n", faulty: "print(math.pi)\n" },
    {
      language: "java",
      right: "import java.util.*;\nclass Main { Scanner s; }\n",
      faulty: "class Main { Scanner s; }\n",
    },
    {
      language: "c",
      right: "#include <string.h>\nint f(char *s) { return strlen(s); }\n",
      faulty: "int f(char *s) { return strlen(s); }\n",
    },
    {
      language: "csharp",
      right: "using System;\nclass P { void F() { Console.Write(1); } }\n",
      faulty: "class P { void F() { Console.Write(1); } }\n",
    },
    {
      language: "pascal",
      right: "program P;\nuses SysUtils;\nbegin\n  writeln(IntToStr(1));\nend.",
      faulty: "program P;\nbegin\n  writeln(IntToStr(1));\nend.",
    },
  ],
};
