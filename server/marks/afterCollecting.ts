import type { Services } from "../services.ts";
import { allowLater, setBell } from "../sheets/roomStore.ts";
import { type Sheet, setSheetState } from "../sheets/sheetStore.ts";
import { isOverForAll } from "../sittings/access.ts";
import { decideLate } from "../sittings/answerStore.ts";
import { beginAgain, reopenSitting, type Sitting } from "../sittings/sittingStore.ts";
import { markWork } from "./markingWork.ts";

type Reach = Pick<Services, "database">;

/** Opens a closed sheet again; a bell that had rung is taken away, or it would ring at once. */
export async function openAgain({ database }: Reach, sheet: Sheet): Promise<void> {
  await database.transaction(async (query) => {
    await setBell({ query }, sheet.key, null);
    await setSheetState({ query }, sheet.key, "set");
  });
}

/** Gives a sitting back to go on with. Where the sheet is over for the others, its student sits it later than they. */
export async function giveBack({ database }: Reach, sheet: Sheet, sitting: Sitting): Promise<void> {
  await database.transaction(async (query) => {
    await reopenSitting({ query }, sitting.key);
    if (isOverForAll(sheet, Date.now())) await allowLater({ query }, sheet.key, sitting.student, true);
  });
}

/** Lets a student sit a sheet once more from the beginning, beside the try that is handed in. False if there is none, or a newer one. */
export async function sitOnceMore({ database }: Reach, sheet: Sheet, sitting: Sitting): Promise<boolean> {
  return database.transaction(async (query) => {
    const begun = await beginAgain({ query }, sitting.key);
    if (begun && isOverForAll(sheet, Date.now())) await allowLater({ query }, sheet.key, sitting.student, true);
    return begun !== null;
  });
}

/** Decides about what came late to a sitting. What is taken is marked: both or none. Returns how many answers there were. */
export async function decideLateAnswers(
  services: Pick<Services, "database" | "queue">,
  sitting: { key: string },
  decided: "taken" | "left",
): Promise<number> {
  const count = await services.database.transaction(async (query) => {
    const answers = await decideLate(query, sitting.key, decided);
    if (decided === "taken" && answers > 0) await services.queue.add(markWork, [{ sitting: sitting.key }], query);
    return answers;
  });
  services.queue.wake(markWork);
  return count;
}
