import * as z from "zod";
import { definePart } from "../partKind.ts";
import { blocksOf, readingMinutes } from "../readingTime.ts";

export const readingSchema = z.object({ text: z.string().max(50_000) });

export const readingPart = definePart({
  kind: "reading",
  title: "Something to read",
  about: "A short text of yours, with how long it takes to read. A paragraph that begins with “? ” is a task.",
  schema: readingSchema,
  minutes: ({ text }) => readingMinutes(text),
  tasks: ({ text }) => blocksOf(text).filter((block) => block.of === "task").length,
  begins: () => ({ text: "" }),
});
