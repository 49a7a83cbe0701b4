import * as z from "zod";
import { definePart } from "../partKind.ts";

export const recapPart = definePart({
  kind: "recap",
  title: "What we met",
  about: "The kinds of error of this lesson’s programs, each with what it was here.",
  schema: z.object({}),
  minutes: () => 3,
  tasks: () => 0,
  begins: () => ({}),
});
