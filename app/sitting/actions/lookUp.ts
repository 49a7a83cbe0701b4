import { redirect } from "react-router";
import * as z from "zod";
import { findOpenLesson } from "../../../server/lessons/lessonStore.ts";
import { slowing } from "../../../server/people/slowGuessing.ts";
import type { Services } from "../../../server/services.ts";
import { findSheetByCode } from "../../../server/sheets/sheetStore.ts";
import { defineAction, refused } from "../../actions.ts";
import { field } from "../../forms.ts";

/** What looking for a sheet works on: `address` is the network address that asks. */
export type LookUpContext = { services: Services; address: string };

/** Goes to the sheet, or the open lesson, with the code that was typed. A code that leads nowhere counts as a guess of this address. */
export const lookUp = defineAction<LookUpContext, { code: string }>({
  intent: "look up",
  schema: z.object({ code: field.text(100) }),
  does: async ({ services, address }, { code }) => {
    const sheet = await findSheetByCode(services.database, code);
    if (sheet && sheet.state !== "draft") return redirect(`/s/${sheet.code}`);
    const lesson = await findOpenLesson(services.database, code);
    if (lesson) return redirect(`/s/lesson/${lesson.code}`);
    slowing.unknown(address);
    return refused("There is no sheet with this code. Look at it once more: letters and digits, two groups of four.");
  },
});
