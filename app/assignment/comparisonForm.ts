import type { z } from "zod";
import type { Comparison } from "../../core/assignments/comparison.ts";
import { field } from "../forms.ts";

/** The fields of a form that says how outputs are compared; "" where the assignment's rule holds. */
export const comparisonFields = {
  prompts: field.one(["", "compared", "ignored"]),
  blanks: field.one(["", "compared", "exact", "ignored"]),
  letterCase: field.one(["", "compared", "ignored"]),
  /** Whether numbers may differ: "" as the assignment says, "exact" not at all, "near" by `within`. */
  numbers: field.one(["", "exact", "near"]),
  within: field.text(40),
  order: field.one(["", "kept", "free"]),
  otherLines: field.one(["", "counted", "ignored"]),
};

/** The rules that a form says; words where the number by which others may differ is none. */
export function readComparison(
  given: z.output<z.ZodObject<typeof comparisonFields>>,
): Comparison | { problem: string } {
  const { prompts, blanks, letterCase, numbers, within, order, otherLines } = given;
  const near = Number(within.trim().replace(",", "."));
  if (numbers === "near" && (within.trim() === "" || !(near >= 0 && near <= 1_000_000_000)))
    return { problem: "By how much numbers may differ is a number such as 0.01. Nothing was changed." };
  return {
    ...(prompts === "" ? {} : { prompts }),
    ...(blanks === "" ? {} : { blanks }),
    ...(letterCase === "" ? {} : { letterCase }),
    ...(numbers === "" ? {} : { numbers: numbers === "near" ? near : null }),
    ...(order === "" ? {} : { order }),
    ...(otherLines === "" ? {} : { otherLines }),
  };
}
