import { addOutput, describeCase, sayOfWarning, sayWorked } from "../../../server/cases/describe.ts";
import { done, refused } from "../../actions.ts";
import { field } from "../../forms.ts";
import { defineCaseAction } from "./caseAction.ts";

/** One step of the user a line, without blank lines. */
const stepsOf = (text: string) =>
  text
    .split("\n")
    .map((step) => step.trim())
    .filter((step) => step !== "")
    .join("\n");

/** Title, purpose, source, student, language and user's steps of a case, and whether it is only read. */
export const describe = defineCaseAction({
  intent: "describe",
  says: "the change of the description",
  fields: {
    title: field.text(1000),
    purpose: field.text(20_000),
    student: field.text(100),
    language: field.text(40),
    source: field.text(200),
    userActions: field.text(20_000),
    onlyRead: field.ticked(),
  },
  does: async ({ services, found }, change, fields) => {
    const { title, purpose: intent, student, language, source, onlyRead, userActions } = fields;
    const words = (of: { title: string; intent: string }) => `${of.title}\n${of.intent}`;
    const text = { yours: words({ title, intent }), theirs: words };
    const described = await describeCase(
      services.database,
      found,
      { ...change, reason: "", text },
      {
        ...{ title: title.trim(), intent, student: student || null, language: language || found.language },
        ...{ source: source.trim(), only_read: onlyRead, user_actions: stepsOf(userActions) },
      },
    );
    return described.ok ? done("Kept.") : refused(described);
  },
});

/** A note of the teacher's. */
export const note = defineCaseAction({
  intent: "note",
  says: "the note",
  fields: { note: field.text(20_000) },
  does: async ({ services, found }, change, given) => {
    const text = { yours: given.note, theirs: (now: { note: string }) => now.note };
    const kept = await describeCase(services.database, found, { ...change, reason: "", text }, { note: given.note });
    return kept.ok ? done("Note kept.") : refused(kept);
  },
});

/** Whether a version is one that worked. */
export const worked = defineCaseAction({
  intent: "worked",
  says: "whether a version worked",
  fields: { key: field.text(100), worked: field.one(["yes", "no"]) },
  does: async ({ services, found }, change, { key, worked: says }) => {
    const said = await sayWorked(services.database, found, { ...change, reason: "" }, key, says === "yes");
    return said.ok ? done() : refused(said);
  },
});

/** What is to become of a warning; without a decision the former one is taken back. */
export const warning = defineCaseAction({
  intent: "warning",
  says: "what was decided of the warning",
  fields: {
    about: field.text(500),
    decision: field.one(["mend", "accept", "hide", "open"]),
    note: field.text(4000),
  },
  does: async ({ services, found }, change, { about, decision, note: words }) => {
    const said = await sayOfWarning(
      services.database,
      found,
      { ...change, reason: "" },
      {
        about,
        decision: decision === "open" ? null : decision,
        note: words.trim(),
      },
    );
    return said.ok ? done() : refused(said);
  },
});

/** What another tool said of the current version. */
export const anotherOutput = defineCaseAction({
  intent: "add output",
  says: "",
  fields: { text: field.text(), origin: field.text(200) },
  does: async ({ services, found }, change, { text, origin }) => {
    if (text.trim() === "") return refused("There is nothing in it yet.");
    const kept = await addOutput(services.database, found, { ...change, reason: "" }, { origin: origin.trim(), text });
    return kept.ok ? done("Kept beside the others.") : refused(kept);
  },
});
