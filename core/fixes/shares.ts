/**
 * How often a slip of a family was the fault of a program that started, among three hundred programs with a slip each in
 * six languages (our own, made by hand; counted by which change gave the right program back). A family that is not named
 * here was the fault of none of them, and counts as `rare`.
 */
const counted: Readonly<Record<string, number>> = {
  ...{ comparison: 44, "other-name": 17, accumulation: 16, swapped: 16, "logic-word": 14, "step-left-out": 13 },
  ...{ "by-one": 10, constant: 9, conversion: 8, "formula-brackets": 8, arithmetic: 6, "equality-sign": 6, name: 6 },
  ...{ "address-sign": 5, "own-object": 5, returned: 5, "empty-body": 4, "equal-texts": 4, indentation: 4 },
  ...{ "index-left-out": 4, "result-thrown-away": 4, "begun-anew": 3, moved: 3, counterpart: 2, declaration: 2 },
  ...{ "factor-left-out": 2, "format-letter": 2, "line-left": 2, "text-literal": 2 },
};
const rare = 1;

/** How likely a family is that of the slip in a program that starts, before anything of the program is looked at. */
export function shareOf(family: string): number {
  return (counted[family] ?? 0) + rare;
}

/** How much likelier the likelier one of two edits of a family is than their odds say, by the same count. */
const sharpness = 2;
/** How much of a family's share each of its edits has where it has many: all of it would be 0, an equal part of it 1. */
const divided = 0.75;

/**
 * For each edit how likely it is by its family and by the others of its family: a slip that fits at two hundred places of a
 * program is hardly made at each of them. `odds` as in an edit; the numbers are only to be compared with one another.
 */
export function worthByFamily(edits: ReadonlyArray<{ family: string; odds: number }>): number[] {
  const sums = new Map<string, number>();
  for (const { family, odds } of edits) sums.set(family, (sums.get(family) ?? 0) + odds ** sharpness);
  return edits.map(
    ({ family, odds }) => (shareOf(family) * odds ** sharpness) / ((sums.get(family) ?? 0) + 1) ** divided,
  );
}
