import * as z from "zod";
import { actionsIn } from "../../../core/languages/language.ts";
import { versionOf } from "../../../server/cases/caseStore.ts";
import { removeCheck, saveCheck, verifyAgain } from "../../../server/judge/checks.ts";
import { languageOf } from "../../../server/judge/judge.ts";
import { defineAction, done, notReached, refused } from "../../actions.ts";
import { readSurroundings, surroundingsFields } from "../../checks/surroundingsForm.ts";
import { field } from "../../forms.ts";
import { type CaseContext, defineCaseAction } from "./caseAction.ts";

/** Adds a check or changes one, and runs it. */
export const keepCheck = defineCaseAction({
  intent: "check",
  says: "the check",
  fields: {
    key: field.text(100),
    input: field.text(),
    expected: field.text(),
    expectsNothing: field.ticked(),
    kind: field.one(["normal", "boundary", "erroneous"]),
    ignorePrompts: field.ticked(),
    ...surroundingsFields,
  },
  does: async ({ services, found }, change, given) => {
    const surroundings = readSurroundings(given);
    if (surroundings === null)
      return refused(
        "A file's name is empty, leads out of the case's folder, or its text is too long. Nothing was changed.",
      );
    const { input, kind, ignorePrompts, expectsNothing } = given;
    const [misread] =
      actionsIn(languageOf(found), versionOf(found, found.current_version)?.files[0]?.text ?? "")?.problems(input) ??
      [];
    if (misread)
      return refused(
        `Line ${misread.line} of what the user does is not understood: ${misread.says}. Nothing was changed.`,
      );
    const former = found.checks.find((check) => check.key === given.key);
    const own = former?.ownComparison ?? {};
    const asBefore = former && ignorePrompts === (former.comparison.prompts === "ignored");
    const expected = given.expected === "" && !expectsNothing ? null : given.expected;
    const saved = await saveCheck(services, found, { ...change, reason: "changed" }, given.key || null, {
      ...{ input, expected, kind, surroundings },
      comparison: asBefore ? own : { ...own, prompts: ignorePrompts ? "ignored" : "compared" },
    });
    return saved.ok ? done("Check kept and run.") : refused(saved);
  },
});

/** Takes a check away. */
export const dropCheck = defineCaseAction({
  intent: "remove check",
  says: "taking the check away",
  fields: { key: field.text(100) },
  does: async ({ services, found }, change, { key }) => {
    const removed = await removeCheck(services, found, { ...change, reason: "removed" }, key);
    return removed.ok ? done("The check was taken away.") : refused(removed);
  },
});

/** Runs all checks again and says whether the mended case is verified. */
export const verify = defineAction<CaseContext, unknown>({
  intent: "verify",
  schema: z.unknown(),
  does: async ({ services, found }) =>
    (await verifyAgain(services, found.key)) ? done("All checks pass: verified.") : notReached("Not all checks pass."),
});
