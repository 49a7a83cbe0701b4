import { keepFormer } from "../cases/formerStore.ts";
import type { Who } from "../people/teacherStore.ts";
import type { Services } from "../services.ts";
import { type Mark, markKey, putMark } from "./markStore.ts";

/** A teacher's mark for an item, with a reason; the former mark is kept. */
export async function overrule(
  services: Pick<Services, "database">,
  mark: Mark,
  who: Who,
  earned: number,
  reason: string,
): Promise<{ ok: true } | { ok: false; message: string }> {
  if (!(earned >= 0 && earned <= mark.possible))
    return { ok: false, message: `A mark from 0 to ${mark.possible} is needed.` };
  const confirms = mark.earned === null;
  if (!confirms && reason.trim() === "") return { ok: false, message: "Changing a mark needs a reason." };
  await services.database.transaction(async (query) => {
    await keepFormer(query, { about: "mark", aboutKey: markKey(mark), former: mark, who, reason });
    await putMark(query, {
      ...mark,
      suggested: mark.suggested ?? undefined,
      earned,
      reason: reason.trim() === "" ? mark.reason : reason,
      marker: "teacher",
    });
  });
  return { ok: true };
}
