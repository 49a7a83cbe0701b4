import * as z from "zod";
import { type SittingRules, sittingModes } from "../../../core/sittings/sittingRules.ts";
import { startScenes } from "../../../server/sheets/scenesWork.ts";
import { findLastEdition, setRules } from "../../../server/sheets/sheetStore.ts";
import { defineAction, done } from "../../actions.ts";
import { field } from "../../forms.ts";
import type { SheetContext } from "./sheetAction.ts";

const schema = z.object({
  mode: field.one(sittingModes),
  /** 0: as long as the sheet is open. */
  minutes: field.whole(0, 600),
  oneAtATime: field.ticked(),
  otherScenes: field.ticked(),
  bySeat: field.ticked(),
  hints: field.ticked(),
  hintCost: field.decimal(0, 20),
  encouraging: field.ticked(),
});

/** How the sheet is sat from now on, also by those who have begun. */
export const rules = defineAction<SheetContext, z.output<typeof schema>>({
  intent: "rules",
  schema,
  does: async ({ services, sheet }, given) => {
    const { hints, hintCost, minutes, ...rest } = given;
    const kept: SittingRules = {
      ...rest,
      minutes: minutes === 0 ? null : minutes,
      hintCost: hints ? hintCost : null,
    };
    await setRules(services.database, sheet.key, kept);
    const edition = await findLastEdition(services.database, sheet.key);
    if (edition) await startScenes(services, kept, edition.key);
    return done("Kept. It holds at once, also for those who have begun.");
  },
});
