import { versionOf } from "../../../server/cases/caseStore.ts";
import { addOutput } from "../../../server/cases/describe.ts";
import { languageOf } from "../../../server/judge/judge.ts";
import { done, refused } from "../../actions.ts";
import { field } from "../../forms.ts";
import { defineCaseAction } from "./caseAction.ts";

/** Translates the current version in another way, and keeps what was said beside the other outputs. */
export const otherwise = defineCaseAction({
  intent: "otherwise",
  says: "",
  fields: { way: field.text(100) },
  does: async ({ services, found }, change, { way: id }) => {
    const language = languageOf(found);
    const way = services.toolchains
      .find(language.id)
      ?.otherWays()
      .find((each) => each.id === id);
    if (!way) return refused("There is no such way to translate this program here.");
    if (found.only_read) return refused("This program is only read; nothing of it is translated here.");
    const { files } = versionOf(found, found.current_version);
    const said = await services.toolchains.otherwise(way, { files }, language.extension);
    if (!said.ok) return refused(said);
    if (said.text === "") return done(`${way.words} says nothing of this version.`);
    const kept = await addOutput(
      services.database,
      found,
      { ...change, reason: "" },
      { origin: `${way.words}, here`, text: said.text },
    );
    return kept.ok ? done(`What ${way.words} says is kept beside the others.`) : refused(kept);
  },
});
