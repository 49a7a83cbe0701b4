import { escaped } from "../../source/escaped.ts";
import { example, inMain } from "../example.ts";
import { byNotice, byText } from "../grounds.ts";
import type { Evidence, Pattern } from "../pattern.ts";

/** A mark that a loop waits for has the truth that ends it right before the loop. */
function endsFromTheStart({ noticed, lines }: Evidence) {
  const found = noticed.find(
    ({ id, line, rank }) =>
      id === "loop-never-entered" && rank !== null && /=\s*(?:true|false)\b/i.test(lines[line - 1] ?? ""),
  );
  return found ? { line: found.line, why: found.why } : null;
}

/** A variable that is to remember that something happened is not set where it happens. */
export const flagNotSet: Pattern = {
  id: "flag-not-set",
  name: "A mark that is never set",
  says: "A variable that is to remember that something happened is not set where it happens.",
  mends: "Set it there.",
  cause: "It was thought of where it is asked and forgotten where it happens.",
  avoid: "Write both lines together: the one that sets it and the one that asks.",
  fault: true,
  grounds: [
    byText(endsFromTheStart, 5),
    byText(({ lines, class: of, changes }) => {
      if (of !== "logic" || changes.some(({ family }) => family !== "constant")) return null;
      for (const [at, line] of lines.entries()) {
        // A variable outside of functions is false without being given a value.
        const found = /\b([A-Za-z_]\w*)\s*:?=\s*false\b/i.exec(line) ?? /\bboolean\s+([A-Za-z_]\w*)\s*;/.exec(line);
        const [, name] = found ?? [];
        if (!name) continue;
        // Anything but the same truth, also what is worked out or read into it, may set it.
        const set = new RegExp(String.raw`\b${escaped(name)}\s*:?=(?!=)(?!\s*false\b)|&\s*${escaped(name)}\b`, "i");
        if (!lines.some((each) => set.test(each))) return { line: at + 1, why: `“${name}” becomes true nowhere.` };
      }
      return null;
    }, 2),
    byNotice("flag-not-set", 3),
  ],
  examples: [
    example(
      "python",
      `loads = [12, 50, 7]
heavy = False
for load in loads:
    if load > 40:
        heavy = «True¦False»
print(heavy)
`,
    ),
    inMain(
      "java",
      `int[] loads = {12, 50, 7};
boolean heavy = false;
for (int load : loads)
    if (load > 40)
        heavy = «true¦false»;
System.out.println(heavy);
`,
    ),
    example(
      "python",
      `loads = [12, 50, 7]
found = False
for load in loads:
    if load > 40:
        print("heavy")
«        found = True
¦»if not found:
    print("none is heavy")
`,
    ),
    example(
      "pseudocode",
      `loads <- [12, 50, 7]
heavy <- FALSE
FOR EACH load IN loads
  IF load > 40 THEN
    heavy <- «TRUE¦FALSE»
  ENDIF
NEXT
OUTPUT heavy
`,
    ),
    example(
      "sketch",
      `int[] loads = {12, 50, 7};
boolean heavy = false;
for (int load : loads)
    if (load > 40)
        heavy = «true¦false»;
println(heavy);
`,
    ),
    example(
      "sketch",
      `boolean rising« = true¦»;
void setup() {
  size(100, 80);
}
void draw() {
  background(255);
  if (rising) {
    rect(0, 40, 100, 40);
  }
}
`,
    ),
    inMain(
      "basic-forms",
      `Dim boats() As Integer = {17, 4, 23}
Dim found As Boolean = False
For Each boat As Integer In boats
  If boat = 4 Then
    «found = True¦found = False»
  End If
Next
Console.WriteLine(found)
`,
    ),
  ],
};
