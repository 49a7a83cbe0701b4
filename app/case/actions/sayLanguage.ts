import { findLanguage } from "../../../core/languages/languages.ts";
import { describeCase } from "../../../server/cases/describe.ts";
import { done, refused } from "../../actions.ts";
import { field } from "../../forms.ts";
import { defineCaseAction } from "./caseAction.ts";

/** Says which of two languages a case is in that was taken in when they were one here. */
export const sayLanguage = defineCaseAction({
  intent: "say language",
  says: "which language it is in",
  fields: { language: field.text(40) },
  does: async ({ services, found }, change, { language }) => {
    const asked = findLanguage(found.language)?.askedAs ?? [];
    if (!asked.includes(language)) return refused("This case asks for no such language. Nothing was changed.");
    const said = await describeCase(services.database, found, { ...change, reason: "" }, { language });
    return said.ok ? done(`It is in ${findLanguage(language)?.name} from now on.`) : refused(said);
  },
});
