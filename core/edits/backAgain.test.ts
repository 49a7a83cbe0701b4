import { expect, test } from "vitest";
import { todaysShare } from "../../tools/share.ts";
import { neutralOf } from "../exercises/planting/neutral/neutralPrograms.ts";
import { findLanguage } from "../languages/languages.ts";
import { editContext } from "./context.ts";
import { applyEdit } from "./edit.ts";
import { editFamilies, proposeEdits } from "./families.ts";

/** Families whose slips are undone by a proposal whatever the program: nothing of what they take away has to be guessed. */
const undone = ["call-left-out", "counterpart", "factor-left-out", "call-brackets", "wrapped", "colon", "comparison"];

test.each(["python", "java", "c", "csharp", "pascal", "octave"])(
  "in right programs of %s, what is planted is proposed to be mended again",
  (id) => {
    const language = findLanguage(id);
    if (!language) throw new Error(id);
    const lost: string[] = [];
    let planted = 0;
    for (const { program } of todaysShare(neutralOf(id), 4)) {
      const context = editContext(language, program);
      for (const family of editFamilies.filter((each) => context && undone.includes(each.id)))
        for (const proposal of context ? family.plants(context).slice(0, 6) : []) {
          const faulty = applyEdit(program, proposal);
          const after = editContext(language, faulty);
          if (!after || faulty === program) continue;
          planted += 1;
          const ways = [...proposeEdits(after, "mend"), ...proposeEdits(after, "mend a refusal")];
          if (!ways.some((edit) => applyEdit(faulty, edit) === program))
            lost.push(`${family.id}: ${JSON.stringify(program.slice(proposal.from, proposal.to))} ${proposal.text}`);
        }
    }
    expect(planted).toBeGreaterThan(10);
    expect(lost).toEqual([]);
  },
);
