import { inMain } from "../example.ts";
import { byEdit, byNotice } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A read left the end of the typed line, and the next one takes it. */
export const newlineLeftInInput: Pattern = {
  id: "newline-left-in-input",
  name: "The rest of a typed line",
  says: "A read left the end of the typed line, and the next one takes it.",
  mends: "Read the rest of the line away.",
  cause: "A read of a number leaves the end of its line, and the next read takes just that.",
  avoid: "Read whole lines, or read the rest of the line away.",
  fault: true,
  grounds: [
    byEdit("line-left", () => true, 5),
    byEdit("format-letter", ({ after }) => / %?c|^ /.test(after), 3),
    byNotice("newline-left-in-input", 9),
  ],
  examples: [
    inMain(
      "java",
      `Scanner scanner = new Scanner(System.in);
int load = scanner.nextInt();
«scanner.nextLine();
¦»String ferry = scanner.nextLine();
System.out.println(ferry + " " + load);
`,
      "12\nTern\n",
    ),
    inMain(
      "c",
      `int load;
char deck;
scanf("%d", &load);
scanf("« ¦»%c", &deck);
printf("%c %d\\n", deck, load);
`,
      "12\nT\n",
    ),
  ],
};
