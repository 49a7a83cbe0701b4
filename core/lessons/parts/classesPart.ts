import * as z from "zod";
import { faultClassSchema } from "../../cases/case.ts";
import { definePart } from "../partKind.ts";

export const classesSchema = z.object({ classes: z.array(faultClassSchema).min(1).max(3) });

export const classesPart = definePart({
  kind: "classes",
  title: "What the kinds of error are",
  about: "What each kind of error is, how it shows and how it is looked for, with your own words beside it.",
  schema: classesSchema,
  minutes: ({ classes }) => 2 * classes.length,
  tasks: () => 0,
  begins: () => ({ classes: ["syntax", "runtime", "logic"] }),
});
