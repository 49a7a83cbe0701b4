import { example } from "../example.ts";
import { byMessage } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** Something outside of the program was not as it must be: a device, a network, a right, the memory. */
export const surroundingsFailed: Pattern = {
  id: "surroundings-failed",
  name: "The surroundings failed",
  says: "Something outside of the program was not as it must be: a device, a network, a right, the memory.",
  mends: "Handle that it can fail.",
  cause: "A device, a network or a right was missing when the line ran; the program itself may be right.",
  avoid: "Handle every line that reaches outside of the program.",
  fault: true,
  grounds: [byMessage("memory exhausted", { more: 4 })],
  examples: [
    example(
      "python",
      `try:
    with open("«deck¦no/such/folder/deck».txt", "w") as file:
        file.write("12")
    print("written")
except «OSError¦ValueError»:
    print("not written")
`,
    ),
  ],
};
