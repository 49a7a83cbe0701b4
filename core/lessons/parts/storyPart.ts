import * as z from "zod";
import { definePart } from "../partKind.ts";
import { readingMinutes } from "../readingTime.ts";

export const storySchema = z.object({ text: z.string().max(20_000) });

export const storyPart = definePart({
  kind: "story",
  title: "A side story",
  about:
    "Something that may be told or left: where a word comes from, what once went wrong. It is opened by who likes.",
  schema: storySchema,
  minutes: ({ text }) => readingMinutes(text),
  tasks: () => 0,
  begins: () => ({ text: "" }),
});
