import * as z from "zod";
import { decideLateAnswers, giveBack, openAgain, sitOnceMore } from "../../../server/marks/afterCollecting.ts";
import { closeSheet, handInSitting } from "../../../server/marks/markingWork.ts";
import type { Services } from "../../../server/services.ts";
import { allowLater, endPause, pauseSheet, sayWord, setBell } from "../../../server/sheets/roomStore.ts";
import type { Sheet } from "../../../server/sheets/sheetStore.ts";
import { giveTime, listSittings, type Sitting } from "../../../server/sittings/sittingStore.ts";
import { defineAction, done, refused, type Said } from "../../actions.ts";
import { field } from "../../forms.ts";

/** What an action of a sheet's room works on. */
type RoomContext = { services: Services; sheet: Sheet };

const minute = 60_000;

const forAll = (intent: string, does: (context: RoomContext) => Promise<Said>) =>
  defineAction<RoomContext, unknown>({ intent, schema: z.unknown(), does });

const one = z.object({ sitting: field.text(100) });

/** An action on one sitting of the sheet, named by the form's field `sitting`. */
function forOne<Fields extends z.output<typeof one>>(
  intent: string,
  schema: z.ZodType<Fields>,
  does: (context: RoomContext, sitting: Sitting, fields: Fields) => Promise<Said>,
) {
  return defineAction<RoomContext, Fields>({
    intent,
    schema,
    does: async (context, fields) => {
      const sittings = await listSittings(context.services.database, context.sheet.key);
      const sitting = sittings.find(({ key }) => key === fields.sitting);
      return sitting ? does(context, sitting, fields) : refused("Nobody sits this sheet so. Nothing was changed.");
    },
  });
}

const word = defineAction<RoomContext, { word: string }>({
  intent: "word",
  schema: z.object({ word: field.text(500) }),
  does: async ({ services, sheet }, given) => {
    const said = given.word.trim();
    await sayWord(services.database, sheet.key, said);
    return done(said === "" ? "Nothing is said any more." : "All who sit the sheet read it within seconds.");
  },
});

const pause = forAll("pause", async ({ services, sheet }) => {
  await pauseSheet(services.database, sheet.key);
  return done("Paused: nobody can write, what is written is kept, and no time passes.");
});

const goOn = forAll("go on", async ({ services, sheet }) => {
  await services.database.transaction((query) => endPause(query, sheet.key));
  return done("It goes on; the bell is later by the length of the pause.");
});

const bell = defineAction<RoomContext, { minutes: number }>({
  intent: "bell",
  schema: z.object({ minutes: field.whole(0, 600) }),
  does: async ({ services, sheet }, { minutes }) => {
    await setBell(services.database, sheet.key, new Date(Date.now() + minutes * minute));
    return done(
      minutes === 0
        ? "The bell rings: what is written is being collected, in some ten seconds. Who has time on top goes on."
        : `The bell rings in ${minutes} ${minutes === 1 ? "minute" : "minutes"}; students see the time that is left.`,
    );
  },
});

const noBell = forAll("no bell", async ({ services, sheet }) => {
  await setBell(services.database, sheet.key, null);
  return done("There is no bell any more.");
});

const close = forAll("close", async ({ services, sheet }) => {
  await closeSheet(services, sheet);
  return done("Collected and closed. What students had saved is handed in and being marked.");
});

const open = forAll("open", async ({ services, sheet }) => {
  await openAgain(services, sheet);
  return done(
    "It is open again for students who have not handed in. To give one back its sheet, press “Give back” there.",
  );
});

const time = forOne(
  "time",
  one.extend({ minutes: field.whole(-600, 600) }),
  async ({ services }, sitting, { minutes }) => {
    await giveTime(services.database, sitting.key, minutes * 60);
    return done(`${sitting.label} has ${minutes} minutes on top.`);
  },
);

const collect = forOne("collect", one, async ({ services }, sitting) => {
  const handedIn = await handInSitting(services, sitting, "teacher");
  return done(handedIn ? `${sitting.label} is collected.` : `${sitting.label} had handed in already.`);
});

const back = forOne("give back", one, async ({ services, sheet }, sitting) => {
  await giveBack(services, sheet, sitting);
  return done(`${sitting.label} can go on where it was handed in.`);
});

const onceMore = forOne("once more", one, async ({ services, sheet }, sitting) =>
  (await sitOnceMore(services, sheet, sitting))
    ? done(`${sitting.label} sits it once more from the beginning, after signing in again; the first try stays.`)
    : refused(`${sitting.label} has not handed in, or has begun once more already.`),
);

const later = defineAction<RoomContext, { student: string; allowed: boolean }>({
  intent: "later",
  schema: z.object({ student: field.text(100), allowed: field.ticked() }),
  does: async ({ services, sheet }, { student, allowed }) => {
    await allowLater(services.database, sheet.key, student, allowed);
    return done(allowed ? "They can sit it although it is closed." : "It is closed for them as for the others.");
  },
});

const decide = (intent: string, decided: "taken" | "left", words: string) =>
  forOne(intent, one, async ({ services }, sitting) => {
    const count = await decideLateAnswers(services, sitting, decided);
    return done(`${sitting.label}: ${count} late ${count === 1 ? "answer" : "answers"} ${words}.`);
  });

/** Everything that a sheet's room can be asked for. */
export const roomActions = [
  ...[word, pause, goOn, bell, noBell, close, open, time, collect, back, onceMore, later],
  decide("take late", "taken", "count, and are being marked"),
  decide("leave late", "left", "do not count; they stay on record"),
];
