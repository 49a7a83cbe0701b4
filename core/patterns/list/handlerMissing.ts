import { example, inMain } from "../example.ts";
import { byEdit, byMessage, sure } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** Something can fail in a way that the language wants handled, and is not. */
export const handlerMissing: Pattern = {
  id: "handler-missing",
  name: "An error that must be handled",
  says: "Something can fail in a way that the language wants handled, and is not.",
  mends: "Handle or declare it.",
  cause: "The language wants every such failure handled or declared.",
  avoid: "Read which error the message names, and say what is to happen then.",
  fault: true,
  grounds: [
    byMessage("not handled", { more: sure }),
    byEdit("handled-error", () => true, 8),
    byEdit("other-forms", ({ after }) => /^\s*except\b/.test(after), 5),
  ],
  examples: [
    example(
      "java",
      `import java.nio.file.*;
public class Main {
    public static void main(String[] args)« throws Exception¦» {
        System.out.println(Files.exists(Path.of("deck.txt")));
        Thread.sleep(1);
    }
}
`,
    ),
    inMain(
      "basic-forms",
      `Dim typed As String = "none"
Dim cars As Integer
«Try
  cars = CInt(typed)
Catch problem As InvalidCastException
  cars = 0
End Try
¦cars = CInt(typed)
»Console.WriteLine(cars)
`,
    ),
  ],
};
