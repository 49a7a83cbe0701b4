import { useState } from "react";
import type { Comparison } from "../../core/assignments/comparison.ts";

type Rule = { name: keyof Comparison; words: string; choices: ReadonlyArray<readonly [value: string, words: string]> };

const rules: readonly Rule[] = [
  {
    ...{ name: "prompts", words: "Prompts" },
    choices: [
      ["ignored", "do not count"],
      ["compared", "count"],
    ],
  },
  {
    ...{ name: "blanks", words: "Blanks" },
    choices: [
      ["compared", "count, not at line ends"],
      ["exact", "count everywhere"],
      ["ignored", "one is as good as many"],
    ],
  },
  {
    ...{ name: "letterCase", words: "Letters" },
    choices: [
      ["compared", "capital and small differ"],
      ["ignored", "capital and small are the same"],
    ],
  },
  {
    ...{ name: "order", words: "Lines" },
    choices: [
      ["kept", "come in their order"],
      ["free", "come in any order"],
    ],
  },
  {
    ...{ name: "otherLines", words: "Other lines" },
    choices: [
      ["counted", "are one too many"],
      ["ignored", "may be there: only the intended ones matter"],
    ],
  },
];

/** How outputs are compared, rule by rule; in a check each rule may be left to the assignment. */
export function ComparisonFields({ comparison, inCheck = false }: { comparison: Comparison; inCheck?: boolean }) {
  const { numbers } = comparison;
  const [near, setNear] = useState(typeof numbers === "number");
  const usual = inCheck ? "" : undefined;
  return (
    <div className="grid gap-2 sm:grid-cols-2">
      {rules.map(({ name, words, choices }) => (
        <label key={name} className="text-sm">
          {words}
          <select name={name} className="field" defaultValue={String(comparison[name] ?? usual ?? fallback(name))}>
            {inCheck && <option value="">as the assignment says</option>}
            {choices.map(([value, text]) => (
              <option key={value} value={value}>
                {text}
              </option>
            ))}
          </select>
        </label>
      ))}
      <div className="flex items-end gap-2">
        <label className="flex-1 text-sm">
          Numbers
          <select
            name="numbers"
            className="field"
            defaultValue={typeof numbers === "number" ? "near" : numbers === null || !inCheck ? "exact" : ""}
            onChange={(event) => setNear(event.target.value === "near")}
          >
            {inCheck && <option value="">as the assignment says</option>}
            <option value="exact">as they are written</option>
            <option value="near">may differ by</option>
          </select>
        </label>
        <label className={near ? "w-24 text-sm" : "hidden"}>
          by
          <input
            name="within"
            className="field"
            inputMode="decimal"
            defaultValue={typeof numbers === "number" ? numbers : "0.01"}
          />
        </label>
      </div>
    </div>
  );
}

/** What holds where an assignment has never said a rule. */
function fallback(name: keyof Comparison): string {
  return {
    prompts: "compared",
    blanks: "compared",
    letterCase: "compared",
    order: "kept",
    otherLines: "counted",
    numbers: "exact",
  }[name];
}
