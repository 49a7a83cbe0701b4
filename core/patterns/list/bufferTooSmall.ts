import { inMain } from "../example.ts";
import { byMessage, byText } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A text or array gets more than there is room for. */
export const bufferTooSmall: Pattern = {
  id: "buffer-too-small",
  name: "A place that is too small",
  says: "A text or array gets more than there is room for.",
  mends: "Make it large enough for the end mark as well.",
  cause: "A text needs one place more than it has letters.",
  avoid: "Let the room grow with what is put in.",
  fault: true,
  grounds: [
    byMessage("memory misused", { words: /smash|overflow/i, more: 3 }),
    byText((evidence) => {
      if (
        !/\b(?:strcpy|strcat|gets|sprintf)\s*\(|scanf\s*\(\s*"[^"]*%s/.test(evidence.program) ||
        evidence.class === "syntax"
      )
        return null;
      const at = evidence.lines.findIndex((line) => /\bchar\s+\w+\s*\[\s*\d+\s*\]/.test(line));
      const changed = evidence.changes[0];
      const grows = changed !== undefined && /\bchar\s+\w+\s*\[/.test(changed.lineBefore);
      // What mends it otherwise was no lack of room.
      if (changed && !grows) return null;
      return at >= 0 && (grows || (evidence.message?.kind === "memory misused" && !/\bNULL\b/.test(evidence.program)))
        ? { line: at + 1, why: "The text that is put here may be longer than there is room." }
        : null;
    }, 5),
  ],
  examples: [
    inMain(
      "c",
      `char ferry[«20¦4»];
char deck[] = "AAAA";
strcpy(ferry, "kittiwake crossing");
printf("%s %s\\n", ferry, deck);
`,
    ),
  ],
};
