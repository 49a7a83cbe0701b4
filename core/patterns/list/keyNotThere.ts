import { change } from "../../edits/edit.ts";
import { example, inMain } from "../example.ts";
import { byEdit, byMessage, sure } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A dictionary is asked for a key that it does not hold. */
export const keyNotThere: Pattern = {
  id: "key-not-there",
  name: "A key that is not there",
  says: "A dictionary is asked for a key that it does not hold.",
  mends: "Ask whether it is there, or put it in first.",
  cause: "The key was never put in, or is written another way.",
  avoid: "Ask whether it is there, or give a value for the case that it is not.",
  fault: true,
  grounds: [
    byMessage("key missing", { more: sure }),
    byEdit("guard-left-out", ({ lineAfter }) => /\.get(?:OrDefault)?\(/.test(lineAfter), 3),
  ],
  examples: [
    example(
      "python",
      `fares = {"adult": 9, "child": 4}
print(fares["«child¦kid»"])
`,
    ),
    inMain(
      "csharp",
      `var fares = new Dictionary<string, int> { { "adult", 9 }, { "child", 4 } };
Console.WriteLine(fares["«child¦kid»"]);
`,
    ),
    inMain(
      "java",
      `Map<String, Integer> fares = new HashMap<>();
fares.put("child", 4);
int fare = fares.get("«child¦kid»");
System.out.println(fare);
`,
    ),
    inMain(
      "basic-macro",
      `sheet = ThisComponent.Sheets.getByName("«Sheet1¦Shet1»")
MsgBox sheet.Name
`,
    ),
    example(
      "sketch",
      `HashMap<String, Integer> fares = new HashMap<String, Integer>();
fares.put("car", 12);
int fare = fares.get("«car¦Car»");
println(fare);
`,
    ),
    inMain(
      "basic-forms",
      `Dim seats As New Dictionary(Of String, Integer)
seats("Tern") = 24
Console.WriteLine(seats("«T¦t»ern"))
`,
    ),
  ],
  plants: ({ code, sourceOf }) =>
    code.flatMap((token, at) => {
      const text = sourceOf(token);
      const isKey = code[at - 1]?.text === "[" && code[at + 1]?.text === "]" && code[at - 2]?.kind === "name";
      return token.kind === "text" && isKey && text.length > 4 ? [change(token, `${text[0]}${text.slice(2)}`)] : [];
    }),
};
