import { change } from "../../edits/edit.ts";
import { example, inMain } from "../example.ts";
import { byEdit, byMessage, byText, sure } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A file is opened under a name or at a place where there is none. */
export const fileNotThere: Pattern = {
  id: "file-not-there",
  name: "A file that is not there",
  says: "A file is opened under a name or at a place where there is none.",
  mends: "Name the file that is there, or handle that it is missing.",
  cause: "The file has another name, lies in another folder, or was taken away.",
  avoid: "Write the file yourself in a small run, or ask whether it is there.",
  fault: true,
  grounds: [
    // Another name for a file, where the run stopped: no text that is printed.
    byEdit(
      "text-literal",
      ({ lineBefore }, { class: of }) =>
        of === "runtime" &&
        /open|\bFile\b|FileReader|Assign\s*\(|StreamReader|ReadAll|fileread|load\s*\(/i.test(lineBefore),
      6,
    ),
    byMessage("file missing", { of: "runtime", more: sure }),
    byText(
      ({ message, class: of }) =>
        of === "runtime" && /no such file|could not (?:open|find)|unable to open|cannot open/i.test(message?.text ?? "")
          ? { line: message?.line ?? null, why: "The message says that a file was not found." }
          : null,
      6,
    ),
  ],
  examples: [
    example(
      "python",
      `with open("loads.txt", "w") as file:
    file.write("12")
with open("«loads¦load».txt") as file:
    print(file.read())
`,
    ),
    example(
      "java",
      `import java.nio.file.*;
public class Main {
    public static void main(String[] args) throws Exception {
        Files.writeString(Path.of("loads.txt"), "12");
        System.out.println(Files.readString(Path.of("«loads¦load».txt")));
    }
}
`,
    ),
    example(
      "csharp",
      `using System;
using System.IO;
class Program
{
    static void Main()
    {
        File.WriteAllText("loads.txt", "12");
        Console.WriteLine(File.ReadAllText("«loads¦load».txt"));
    }
}
`,
    ),
    example(
      "pascal",
      `var note: text; line: string;
begin
  assign(note, 'loads.txt');
  rewrite(note);
  writeln(note, '12');
  close(note);
  assign(note, '«loads¦load».txt');
  reset(note);
  readln(note, line);
  writeln(line);
end.
`,
    ),
    example(
      "octave",
      `file = fopen("loads.txt", "w");
fprintf(file, "12");
fclose(file);
printf("%s\\n", fileread("«loads¦load».txt"));
delete("loads.txt");
`,
    ),
    example(
      "pseudocode",
      `OPENFILE "loads.txt" FOR WRITE
WRITEFILE "loads.txt", 12
CLOSEFILE "loads.txt"
OPENFILE "«loads¦load».txt" FOR READ
READFILE "loads.txt", load
OUTPUT load
`,
    ),
    inMain(
      "basic-forms",
      `System.IO.File.WriteAllText("loads.txt", "12")
Console.WriteLine(System.IO.File.ReadAllText("load«s¦».txt"))
`,
    ),
  ],
  plants: ({ code, sourceOf }) =>
    code.flatMap((token) => {
      const text = sourceOf(token);
      return token.kind === "text" && /^["'][\w-]{2,}\.\w{2,4}["']$/.test(text)
        ? [change(token, `${text[0]}${text.slice(2)}`)]
        : [];
    }),
};
