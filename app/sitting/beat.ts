import * as z from "zod";
import { sittingOfRequest, standingOf } from "../../server/sittings/access.ts";
import { presence } from "../../server/sittings/presence.ts";
import type { Route } from "./+types/beat.ts";
import type { BeatReply } from "./replies.ts";

const beatSchema = z.object({ task: z.string().max(200).nullable(), behind: z.boolean().default(false) });

/** A page says every few seconds that it is there, and hears what is said to the room. */
export async function action({ params, request, context }: Route.ActionArgs): Promise<BeatReply> {
  const { sheet, open } = await sittingOfRequest(context.services, request, params.code);
  if (!sheet || !open) return { signedIn: false };
  const given = beatSchema.safeParse(await request.json().catch(() => null));
  const named = given.success ? given.data.task : null;
  const known = open.edition.content.exercises.some(({ content }) => content.tasks.some(({ key }) => key === named));
  presence.seen(open.sitting.key, known ? named : null, given.success && given.data.behind);
  const now = Date.now();
  return {
    signedIn: true,
    now: new Date(now).toISOString(),
    word: sheet.word,
    released: sheet.released_at !== null,
    ...standingOf(open, now),
  };
}
