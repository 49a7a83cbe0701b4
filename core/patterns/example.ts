/**
 * A minimal program of a kind of mistake in a language: right, and with the slip. What tools say of it is not written here but recorded from real
 * runs (`recorded.json`); what the right one prints is what is intended.
 */
export type Example = { language: string; right: string; faulty: string; input: string };

/** A place in the text of an example: what is right, and the slip in its place. */
const place = /«([^¦»]*)¦([^»]*)»/g;

/** The two texts in which each place of the slip stands as `«right¦faulty»`. */
function bothOf(text: string): { right: string; faulty: string } {
  return {
    right: text.replace(place, (_, right: string) => right),
    faulty: text.replace(place, (_, _right, faulty: string) => faulty),
  };
}

/** An example from one text in which each place of the slip stands as `«right¦faulty»`. */
export function example(language: string, text: string, input = ""): Example {
  return { language, input, ...bothOf(text) };
}

/** What stands around the statements of a program that is only its main part. */
const frames: Readonly<Record<string, { indent: string; around: (body: string) => string }>> = {
  java: {
    indent: "        ",
    around: (body) => {
      const imported = /\b(?:Scanner|List|ArrayList|Map|HashMap)\b/.test(body) ? "import java.util.*;\n\n" : "";
      return `${imported}public class Main {\n    public static void main(String[] args) {\n${body}    }\n}\n`;
    },
  },
  c: {
    indent: "    ",
    around: (body) => {
      const texts = /\bstr\w+\(/.test(body) ? "#include <string.h>\n" : "";
      return `#include <stdio.h>\n${texts}\nint main(void) {\n${body}    return 0;\n}\n`;
    },
  },
  "basic-forms": { indent: "    ", around: (body) => `Module Deck\n  Sub Main()\n${body}  End Sub\nEnd Module\n` },
  "basic-macro": { indent: "  ", around: (body) => `Sub Main\n${body}End Sub\n` },
  csharp: {
    indent: "        ",
    around: (body) => {
      const lists = /\b(?:List|Dictionary)</.test(body) ? "using System.Collections.Generic;\n" : "";
      return `using System;\n${lists}\nclass Program\n{\n    static void Main()\n    {\n${body}    }\n}\n`;
    },
  },
};

/** An example whose text is the main part of a program alone, in a language whose programs need more around it. */
export function inMain(language: string, text: string, input = ""): Example {
  const frame = frames[language];
  if (!frame) return example(language, text, input);
  const framed = (body: string) => frame.around(body.replace(/^(?=.)/gm, frame.indent));
  const { right, faulty } = bothOf(text);
  return { language, input, right: framed(right), faulty: framed(faulty) };
}

/** The first line, from 1, in which the two texts of an example differ. */
export function faultyLine({ right, faulty }: Example): number {
  const [rightLines, faultyLines] = [right.split("\n"), faulty.split("\n")];
  const at = faultyLines.findIndex((line, index) => line !== rightLines[index]);
  return at < 0 ? faultyLines.length : at + 1;
}
