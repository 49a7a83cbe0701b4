import { ownRules } from "../../../core/assignments/comparison.ts";
import { findLanguage } from "../../../core/languages/languages.ts";
import {
  askVerifiedAgain,
  findAssignment,
  setAssignmentFields,
  setHandIn,
  setPutAway,
  setStarterFiles,
} from "../../../server/assignments/assignmentStore.ts";
import { changeAssignment } from "../../../server/classwork/changeAssignment.ts";
import { startJudgingAssignment, stopJudgingAssignment } from "../../../server/classwork/judgeAssignment.ts";
import { stopSearchingSet } from "../../../server/mend/findFixes.ts";
import { done, refused } from "../../actions.ts";
import { field } from "../../forms.ts";
import { comparisonFields, readComparison } from "../comparisonForm.ts";
import { defineAssignmentAction } from "./assignmentAction.ts";

/** Title, statement, languages and how outputs are compared. What is compared otherwise is judged anew. */
export const about = defineAssignmentAction({
  intent: "about",
  fields: { title: field.text(200), statement: field.text(50_000), languages: field.list(), ...comparisonFields },
  does: async ({ services, assignment }, change, given) => {
    const title = given.title.trim();
    if (title === "") return refused("An assignment needs a title. Nothing was changed.");
    const said = readComparison(given);
    if ("problem" in said) return refused(said.problem);
    const comparison = ownRules(said);
    const { statement } = given;
    const languages = given.languages.filter((id) => findLanguage(id));
    const compares =
      JSON.stringify(Object.entries(comparison).sort()) !==
      JSON.stringify(Object.entries(ownRules(assignment.comparison)).sort());
    const text = { yours: statement, theirs: async (now: typeof assignment) => now.statement };
    const saved = await changeAssignment(
      services.database,
      { ...change, text, key: assignment.key },
      async ({ query, keep }) => {
        const former = await findAssignment({ query }, assignment.key);
        await keep("assignment", assignment.key, former);
        await setAssignmentFields(query, assignment.key, { title, statement, languages, comparison });
        if (compares) await askVerifiedAgain(query, assignment.key);
        return undefined;
      },
    );
    if (!saved.ok) return refused(saved);
    if (compares) await startJudgingAssignment(services, assignment.key);
    return done(compares ? "Kept. Every program is judged anew by these rules." : "Kept.");
  },
});

/** What students begin with; an empty text is no starter. */
export const starter = defineAssignmentAction({
  intent: "starter",
  fields: { name: field.text(120), text: field.text(500_000) },
  does: async ({ services, assignment }, change, given) => {
    const name = given.name.trim();
    const isName = /^[^/\\\0]+$/.test(name) && !/^\.+$/.test(name);
    if (given.text !== "" && !isName)
      return refused("The starter needs the name of a file, without a folder. Nothing was changed.");
    const saved = await changeAssignment(services.database, { ...change, key: assignment.key }, async ({ query }) => {
      const files = given.text === "" ? [] : [{ name, bytes: Buffer.from(given.text, "utf8") }];
      await setStarterFiles(query, assignment.key, files);
      return undefined;
    });
    return saved.ok ? done(given.text === "" ? "Students begin with nothing." : "Kept.") : refused(saved);
  },
});

/** Opens or closes the hand-in page. */
export const handIn = defineAssignmentAction({
  intent: "hand-in",
  fields: { open: field.ticked() },
  does: async ({ services, assignment }, _change, { open }) => {
    if (open && assignment.put_away_at !== null)
      return refused("This assignment is put away and takes no hand-ins. Take it back first.");
    await setHandIn(services.database, assignment.key, open);
    return done(open ? "The hand-in page is open." : "The hand-in page is closed.");
  },
});

/** Puts the assignment away, or takes it back. Nothing that belongs to it is lost or changed. */
export const putAway = defineAssignmentAction({
  intent: "put away",
  fields: { away: field.ticked() },
  does: async ({ services, assignment }, change, { away }) => {
    const saved = await changeAssignment(services.database, { ...change, key: assignment.key }, async ({ query }) => {
      await setPutAway(query, assignment.key, away);
      return undefined;
    });
    if (!saved.ok) return refused(saved);
    if (away) await stopJudgingAssignment(services, assignment.key);
    return done(away ? "Put away. Its programs, checks and models stay as they are." : "Taken back.");
  },
});

/** Has every program judged anew. */
export const judgeAgain = defineAssignmentAction({
  intent: "judge",
  fields: {},
  does: async ({ services, assignment }) => {
    await startJudgingAssignment(services, assignment.key);
    return done();
  },
});

/** Stops the judging; what is not judged yet stays as it is. */
export const stop = defineAssignmentAction({
  intent: "stop",
  fields: {},
  does: async ({ services, assignment }) => {
    await stopJudgingAssignment(services, assignment.key);
    await stopSearchingSet(services, assignment.key);
    return done("Stopped. What is not judged yet stays as it is.");
  },
});
