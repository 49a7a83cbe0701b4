import { Form } from "react-router";
import { listCopies } from "../../server/backup/copies.ts";
import { planRestore, type RestorePlan } from "../../server/backup/restore.ts";
import { countRows, listTables } from "../../server/backup/tableStore.ts";
import { waitingBackup } from "../../server/backup/waiting.ts";
import { act } from "../actions.ts";
import type { Route } from "./+types/page.ts";
import { backupActions } from "./actions.ts";

export const meta: Route.MetaFunction = () => [{ title: "Backups · Bent Nail" }];

export async function loader({ context }: Route.LoaderArgs) {
  const { folder, database } = context.services;
  const waiting = folder === null ? null : waitingBackup(folder);
  const rows = waiting ? await countRows(database, await listTables(database)) : new Map<string, number>();
  return {
    copies: folder === null ? [] : listCopies(folder),
    waiting: waiting && { ...(await planRestore(waiting.path, rows)), agreed: waiting.agreed },
  };
}

export async function action({ request, context }: Route.ActionArgs) {
  return act(backupActions, request, { services: context.services });
}

const inMegabytes = (bytes: number) => `${Math.max(0.1, bytes / 1024 / 1024).toFixed(1)} MB`;

export default function Backups({ loaderData, actionData }: Route.ComponentProps) {
  const { copies, waiting } = loaderData;
  return (
    <div className="grid max-w-3xl gap-4">
      <h1>Backups</h1>
      {actionData?.message && (
        <p role={actionData.ok ? "status" : "alert"} className="border-l-4 border-steel bg-slip px-3 py-2">
          {actionData.message}
        </p>
      )}
      <section className="leaf grid gap-2 p-3" aria-labelledby="take">
        <h2 id="take">Take one away</h2>
        <p>
          One file with everything: courses, cases, exercises, sheets, what students wrote, marks. It is taken while
          people work. Keep it in a safe place: students’ labels and codes are in it. Your password is not.
        </p>
        <p>
          <a className="press press-main" href="/backups/now.zip" download>
            Take a backup now
          </a>
        </p>
      </section>
      <section className="leaf grid gap-2 p-3" aria-labelledby="copies">
        <h2 id="copies">Made by itself</h2>
        <p>
          A copy is made every night, or when the computer is next on, and kept for 14 days beside the data. It does not
          help where the disk is lost: take one away now and then.
        </p>
        {copies.length > 0 ? (
          <ul>
            {copies.map(({ name, made, bytes }) => (
              <li key={name}>
                <a className="link" href={`/backups/${name}`} download>
                  {made}
                </a>{" "}
                <span className="note-small">{inMegabytes(bytes)}</span>
              </li>
            ))}
          </ul>
        ) : (
          <p className="note-small">There is none yet.</p>
        )}
      </section>
      <section className="leaf grid gap-2 p-3" aria-labelledby="restore">
        <h2 id="restore">Bring one back</h2>
        {waiting ? (
          <Waiting {...waiting} />
        ) : (
          <Form method="post" encType="multipart/form-data" className="flex flex-wrap items-end gap-3">
            <input type="hidden" name="intent" value="take" />
            <label>
              The file of a backup, of this version or an earlier one
              <input type="file" name="file" accept=".zip,application/zip" className="field" required />
            </label>
            <button className="press" type="submit">
              See what it would do
            </button>
            <p className="note-small w-full">Nothing is changed by that.</p>
          </Form>
        )}
      </section>
    </div>
  );
}

/** What the backup that was handed in would do, to be agreed to. */
function Waiting({ holds, madeAt, replaces, agreed }: RestorePlan & { agreed: boolean }) {
  return (
    <Form method="post" className="grid gap-2">
      <p>
        The backup of{" "}
        <time dateTime={madeAt}>
          {new Date(madeAt).toLocaleString("en-GB", { dateStyle: "long", timeStyle: "short" })}
        </time>{" "}
        holds <strong>{holds}</strong>.
      </p>
      <p>
        Here{" "}
        {replaces === null ? (
          "is nothing that it would replace"
        ) : (
          <>
            are <strong>{replaces}</strong>
          </>
        )}
        . It would take the place of all of this; what is here now would be put aside in the data folder, and could be
        brought back by hand.
      </p>
      {agreed && <p className="font-semibold">It is brought back when Bent Nail is next started.</p>}
      <p className="flex flex-wrap gap-3">
        {!agreed && (
          <button className="press press-main" type="submit" name="intent" value="agree">
            Bring it back at the next start
          </button>
        )}
        <button className="press" type="submit" name="intent" value="forget">
          Leave everything as it is
        </button>
      </p>
    </Form>
  );
}
