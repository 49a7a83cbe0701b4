import { example, inMain } from "../example.ts";
import { byNotice, byText } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";
import { movedStatement } from "../shape.ts";

/** A position or length was kept, and what it is of has changed since. */
export const storedPositionStale: Pattern = {
  id: "stored-position-stale",
  name: "A position that is no longer right",
  says: "A position or length was kept, and what it is of has changed since.",
  mends: "Work it out again.",
  cause: "A position is a number; it does not move when the text is cut.",
  avoid: "Work a position out just before it is used.",
  fault: true,
  grounds: [
    byText(({ changes, class: of }) => {
      const moved = of === "logic" ? movedStatement(changes) : null;
      return moved && /=\s*.*\b(?:find|indexOf|IndexOf|index|pos|strfind|len|length|size|Length)\b/.test(moved.text)
        ? { line: changes[0]?.line ?? null, why: "A position or length is worked out before what it is of changes." }
        : null;
    }, 6),
    byNotice(["stored-position-stale", "best-mixed"], 5),
  ],
  examples: [
    example(
      "python",
      `line = "Tern;Puffin"
at = line.find(";")
line = line.strip("T")
«at = line.find(";")
¦»print(line[:at])
`,
    ),
    example(
      "pascal",
      `var line: string; at: integer;
begin
  line := 'Tern;Puffin';
  at := pos(';', line);
  delete(line, 1, 1);
«  at := pos(';', line);
¦»  writeln(copy(line, 1, at - 1));
end.
`,
    ),
    inMain(
      "java",
      `String line = "Tern;Puffin";
int at = line.indexOf(";");
line = line.substring(1);
«at = line.indexOf(";");
¦»System.out.println(line.substring(0, at));
`,
    ),
    example(
      "sketch",
      `String line = "Tern;Puffin";
int at = line.indexOf(";");
line = line.substring(1);
«at = line.indexOf(";");
¦»println(line.substring(0, at));
`,
    ),
  ],
};
