import { example, inMain } from "../example.ts";
import { byEdit, byMessage } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A text is opened with a quote and not closed with the same one on its line. */
export const quoteNotClosed: Pattern = {
  id: "quote-not-closed",
  name: "A text that is not closed",
  says: "A text is opened with a quote and not closed with the same one on its line.",
  mends: "Close the text with the quote that opened it.",
  cause: "A text ends where its own kind of quote stands; without it everything behind belongs to the text.",
  avoid: "Look at the colours: a text that runs on has the colour of a text.",
  fault: true,
  grounds: [byEdit("quote"), byMessage("text not closed")],
  examples: [
    example(
      "python",
      `print("Tern leaves at 8«"¦»)
print("done")
`,
    ),
    inMain(
      "java",
      `System.out.println("Tern leaves at 8«"¦»);
`,
    ),
    inMain(
      "c",
      `printf("Tern leaves at 8\\n«"¦»);
`,
    ),
    inMain(
      "csharp",
      `Console.WriteLine("Tern leaves at 8«"¦»);
`,
    ),
    example(
      "pascal",
      `begin
  writeln('Tern leaves at 8«'¦»);
end.
`,
    ),
    example(
      "octave",
      `printf("Tern leaves at 8\\n«"¦»);
`,
    ),
    example(
      "pseudocode",
      `OUTPUT "Tern leaves at 8«"¦»
`,
    ),
    inMain(
      "basic-macro",
      `MsgBox "Sail«"¦»
`,
    ),
    example(
      "sketch",
      `println("Tern leaves at 8«"¦»);
`,
    ),
    inMain(
      "basic-forms",
      `Console.WriteLine("The ramp is open«"¦»)
`,
    ),
  ],
};
