import { example, inMain } from "../example.ts";
import type { Pattern } from "../pattern.ts";

/** The translator warns that a variable may hold no object. That is no fault by itself. */
export const referencePerhapsEmpty: Pattern = {
  id: "reference-perhaps-empty",
  name: "Perhaps nothing there",
  says: "The translator warns that a variable may hold no object. That is no fault by itself.",
  mends: "Ask whether it is there.",
  cause: "The translator sees a way on which nothing was put in.",
  avoid: "Ask whether it is there on every way.",
  fault: false,
  grounds: [],
  examples: [
    inMain(
      "java",
      `String ferry = null;
int load = 12;
if (load > 10)
    ferry = "tern";
«if (ferry != null)
    ¦»System.out.println(ferry.length());
`,
    ),
    example(
      "sketch",
      `String ferry = null;
int load = 12;
if (load > 10)
    ferry = "tern";
«if (ferry != null)
    ¦»println(ferry.length());
`,
    ),
  ],
};
