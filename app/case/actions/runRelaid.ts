import { relaid, relaidText } from "../../../core/syntax/relaid.ts";
import { versionOf } from "../../../server/cases/caseStore.ts";
import { languageOf } from "../../../server/judge/judge.ts";
import { runsTheSame } from "../../../server/judge/sameRuns.ts";
import { mainText } from "../../../server/mend/followLines.ts";
import { done, refused } from "../../actions.ts";
import { defineCaseAction } from "./caseAction.ts";

/** Runs the copy that is laid out by structure beside the program, with everything that the checks type in. */
export const runRelaid = defineCaseAction({
  intent: "run relaid",
  says: "",
  fields: {},
  does: async ({ services, found }) => {
    const version = versionOf(found, found.current_version);
    const copy = relaid(languageOf(found), mainText(version));
    if (!copy || copy.upTo !== null) return refused("There is no copy of this program that could be run.");
    const compared = await runsTheSame(services, found, version, relaidText(copy));
    if ("notRun" in compared) return refused(`It was not run: ${compared.notRun}`);
    const { tried, parts } = compared;
    if (tried === 0) return refused("There is no check yet, so there is nothing to run it with.");
    if (parts === null)
      return done(`Both do the same with ${tried === 1 ? "the one input" : `all ${tried} inputs`} of the checks.`);
    const typed = parts.input === "" ? "without input" : `with “${parts.input.trim()}” typed in`;
    return done(`They differ ${typed}. The program: ${parts.was}. The copy: ${parts.is}.`);
  },
});
