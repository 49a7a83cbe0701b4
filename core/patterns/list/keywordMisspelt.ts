import { example, inMain } from "../example.ts";
import { byEdit, byNotice } from "../grounds.ts";
import type { Change, Evidence, Pattern } from "../pattern.ts";
import { foreignWord, isOther } from "../shape.ts";

/** A word that other languages have there; one that this language has as well, elsewhere, is its own. */
const isForeign = ({ before, lineBefore }: Change, evidence: Evidence) =>
  isOther(before) && (evidence.class !== "syntax" || foreignWord(evidence, lineBefore) !== null);

/** A word of the language is misspelt, written in another letter case or left out. */
export const keywordMisspelt: Pattern = {
  id: "keyword-misspelt",
  name: "A word of the language misspelt",
  says: "A word of the language is misspelt, written in another letter case or left out.",
  mends: "Write the word as the language has it.",
  cause: "A misspelt word is read as a name, and the reading stops behind it.",
  avoid: "Look at the colours: a word of the language has its own.",
  fault: true,
  grounds: [
    byEdit("word", (change, evidence) => !isForeign(change, evidence) && !/else\s+if/.test(change.lineAfter), 1),
    byNotice("label-in-switch", 8),
  ],
  examples: [
    example(
      "python",
      `load = 12
«while¦whlie» load > 10:
    load -= 1
print(load)
`,
    ),
    inMain(
      "java",
      `int load = 12;
«while¦wihle» (load > 10) {
    load--;
}
System.out.println(load);
`,
    ),
    inMain(
      "c",
      `int load = 12;
«while¦whlie» (load > 10)
    load--;
printf("%d\\n", load);
`,
    ),
    inMain(
      "csharp",
      `int load = 12;
«while¦While» (load > 10)
    load--;
Console.WriteLine(load);
`,
    ),
    example(
      "pascal",
      `var load: integer;
begin
  load := 12;
  while load > 10 «do¦od»
    load := load - 1;
  writeln(load);
end.
`,
    ),
    example(
      "octave",
      `load_now = 12;
«while¦whlie» load_now > 10
  load_now -= 1;
end
printf("%d\\n", load_now);
`,
    ),
    example(
      "pseudocode",
      `load <- 12
«WHILE¦WHLIE» load > 10
  load <- load - 1
ENDWHILE
OUTPUT load
`,
    ),
    example(
      "pseudocode",
      `load <- 12
IF load > 10« THEN¦»
  OUTPUT "heavy"
ENDIF
`,
    ),
    inMain(
      "basic-macro",
      `For car = 1 To 3
  MsgBox car
«Next¦Nxet» car
`,
    ),
    example(
      "sketch",
      `int load = 12;
«while¦wihle» (load > 10) {
    load--;
}
println(load);
`,
    ),
    inMain(
      "basic-forms",
      `Dim cars As Integer = 3
«If¦Fi» cars > 2 Then
  Console.WriteLine("many")
End If
`,
    ),
  ],
};
