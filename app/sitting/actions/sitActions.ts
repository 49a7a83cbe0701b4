import { redirect } from "react-router";
import * as z from "zod";
import { handInSitting } from "../../../server/marks/markingWork.ts";
import type { Services } from "../../../server/services.ts";
import type { Sheet } from "../../../server/sheets/sheetStore.ts";
import {
  changeEdition,
  enterSitting,
  type OpenSitting,
  sittingCookie,
  tryAgain,
} from "../../../server/sittings/access.ts";
import { passOf } from "../../../server/sittings/sittingStore.ts";
import { takeHint } from "../../../server/sittings/takeHint.ts";
import { defineAction, done, refused } from "../../actions.ts";
import { field } from "../../forms.ts";

/** What an action of a student's sheet works on; `open` is null for whoever is not signed in. */
type SitContext = { services: Services; sheet: Sheet; open: OpenSitting | null; address: string; secure: boolean };

/** Seconds for which a browser stays signed in. */
const twoWeeks = 14 * 24 * 3600;

/** Goes to the sheet as whoever sits this sitting. */
const asSitter = async (context: SitContext, sitting: string) =>
  withCookie(context, await passOf(context.services.database, sitting), twoWeeks);

function withCookie({ sheet, secure }: SitContext, value: string, seconds: number): Response {
  const cookie = `${sittingCookie}=${value}; Path=/s; HttpOnly; SameSite=Lax; Max-Age=${seconds}${secure ? "; Secure" : ""}`;
  return redirect(`/s/${sheet.code}`, { headers: { "Set-Cookie": cookie } });
}

const enterSchema = z.object({ label: field.text(200), personalCode: field.text(100) });

/** Signs a student in by label and personal code. */
const enter = defineAction<SitContext, z.output<typeof enterSchema>>({
  intent: "enter",
  schema: enterSchema,
  does: async (context, { label, personalCode }) => {
    const { services, sheet, address } = context;
    const entered = await enterSitting(services, sheet, label, personalCode, address);
    return entered.ok ? asSitter(context, entered.sitting) : refused(entered.message);
  },
});

/** Signs out; what was saved stays. */
const leave = defineAction<SitContext, unknown>({
  intent: "leave",
  schema: z.unknown(),
  does: async (context) => withCookie(context, "", 0),
});

/** Hands the sheet in; it is marked behind the page. */
const handIn = defineAction<SitContext, unknown>({
  intent: "hand in",
  schema: z.unknown(),
  does: async ({ services, sheet, open }) => {
    if (!open) return refused("You are not signed in any more. Sign in again to hand in; what you had saved is kept.");
    await handInSitting(services, open.sitting);
    return redirect(`/s/${sheet.code}`);
  },
});

/** Goes over to another edition of the sheet, by its number. */
const edition = defineAction<SitContext, { number: number }>({
  intent: "edition",
  schema: z.object({ number: field.whole(1, 100_000) }),
  does: async (context, { number }) => {
    const { services, open } = context;
    if (!open) return refused("You are not signed in any more. Sign in again; what you had saved is kept.");
    const changed = await changeEdition(services, open, number);
    return changed.ok ? asSitter(context, changed.sitting) : refused(changed.message);
  },
});

/** Begins another try at a sheet that is for practice. */
const again = defineAction<SitContext, unknown>({
  intent: "again",
  schema: z.unknown(),
  does: async (context) => {
    const { services, open } = context;
    if (!open) return refused("You are not signed in any more. Sign in again; what you had saved is kept.");
    const begun = await tryAgain(services, open);
    return begun.ok ? asSitter(context, begun.sitting) : refused(begun.message);
  },
});

/** Takes the next hint of an exercise. */
const hint = defineAction<SitContext, { exercise: string }>({
  intent: "hint",
  schema: z.object({ exercise: field.text(100) }),
  does: async ({ services, open }, { exercise }) => {
    if (!open) return refused("You are not signed in any more. Sign in again; what you had saved is kept.");
    const problem = await takeHint(services.database, open, exercise);
    return problem === null ? done() : refused(problem);
  },
});

/** Everything that a student's sheet can be asked for. */
export const sitActions = [enter, leave, handIn, edition, again, hint];
