import { inMain } from "../example.ts";
import { byEdit, byNotice } from "../grounds.ts";
import type { Pattern } from "../pattern.ts";

/** A read is given the value of a variable in the place of its address. */
export const addressSignMissing: Pattern = {
  id: "address-sign-missing",
  name: "No address for what is read",
  says: "A read is given the value of a variable in the place of its address.",
  mends: "Give the address.",
  cause: "What reads must know where to put the value, not what stands there now.",
  avoid: "Say it aloud: “read into the place of age”.",
  fault: true,
  grounds: [byEdit("address-sign", () => true, 4), byNotice("address-sign-missing", 6)],
  examples: [
    inMain(
      "c",
      `int load;
scanf("%d", «&¦»load);
printf("%d\\n", load);
`,
      "12\n",
    ),
  ],
};
