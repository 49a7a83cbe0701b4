import * as z from "zod";
import { BackupProblem } from "../../server/backup/readBackup.ts";
import { agreeToWaiting, forgetWaiting, layBy } from "../../server/backup/waiting.ts";
import type { Services } from "../../server/services.ts";
import { defineAction, done, refused, type Said } from "../actions.ts";
import { field } from "../forms.ts";

type BackupContext = { services: Services };

/** Largest backup that comes in by the page, in bytes; larger ones by the command line. */
const largestBackup = 250 * 1024 * 1024;

/** A data folder, or words that there is none. */
async function inFolder({ services }: BackupContext, does: (folder: string) => Promise<Said>): Promise<Said> {
  return services.folder === null ? refused("This data lies in memory alone.") : does(services.folder);
}

const take = defineAction<BackupContext, { file: File[] }>({
  intent: "take",
  schema: z.object({ file: field.files() }),
  does: (context, { file: [file] }) =>
    inFolder(context, async (folder) => {
      if (!file) return refused("Choose the file of a backup.");
      if (file.size > largestBackup)
        return refused("It is larger than 250 MB. Stop the server and use: bent-nail restore FILE");
      try {
        await layBy(folder, new Uint8Array(await file.arrayBuffer()));
        return done();
      } catch (problem) {
        if (problem instanceof BackupProblem) return refused(problem.message);
        throw problem;
      }
    }),
});

const agree = defineAction<BackupContext, unknown>({
  intent: "agree",
  schema: z.unknown(),
  does: (context) =>
    inFolder(context, async (folder) =>
      agreeToWaiting(folder)
        ? done("Stop Bent Nail and start it again: it comes up with the backup.")
        : refused("There is no backup to be restored."),
    ),
});

const forget = defineAction<BackupContext, unknown>({
  intent: "forget",
  schema: z.unknown(),
  does: (context) =>
    inFolder(context, async (folder) => {
      forgetWaiting(folder);
      return done("It is forgotten; everything stays as it is.");
    }),
});

/** Everything that the page of backups can be asked for. */
export const backupActions = [take, agree, forget];
