import { example, inMain } from "../example.ts";
import { byEdit, byNotice } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** Two texts are compared by identity and not by their letters. */
export const textComparedByIdentity: Pattern = {
  id: "text-compared-by-identity",
  name: "Texts compared by where they lie",
  says: "Two texts are compared by identity and not by their letters.",
  mends: "Compare what they say.",
  cause: "The sign of equality asks whether two names mean the same object.",
  avoid: "Ask the text itself whether it equals the other.",
  fault: true,
  grounds: [
    byEdit("equal-texts", ({ before, after }) => !after.startsWith(before) && !/^\d+$/.test(before), 5),
    byNotice("text-compared-by-identity", 8),
  ],
  examples: [
    inMain(
      "java",
      `Scanner scanner = new Scanner(System.in);
String ferry = scanner.nextLine();
if («ferry.equals("tern")¦ferry == "tern"»)
    System.out.println("leaves at 8");
else
    System.out.println("unknown");
`,
      "tern\n",
    ),
    example(
      "python",
      `ferry = input()
if ferry «==¦is» "tern":
    print("leaves at 8")
else:
    print("unknown")
`,
      "tern\n",
    ),
    inMain(
      "c",
      `char ferry[8] = "tern";
if («strcmp(ferry, "tern") == 0¦ferry == "tern"»)
    printf("leaves at 8\\n");
else
    printf("unknown\\n");
`,
    ),
    example(
      "sketch",
      `String boat = "Te";
boat = boat + "rn";
if («boat.equals("Tern")¦boat == "Tern"»)
  println("ours");
else
  println("other");
`,
    ),
  ],
};
