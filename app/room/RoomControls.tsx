import { Form } from "react-router";
import type { Sheet } from "../../server/sheets/sheetStore.ts";
import { clockTime } from "../sitting/TimeLeft.tsx";

/** What is done to all who sit a sheet: a word, a pause, the bell, collecting. */
export function RoomControls({ sheet, now }: { sheet: Sheet; now: string }) {
  const rung = sheet.bell_at !== null && sheet.bell_at <= now;
  return (
    <section className="leaf flex flex-wrap items-end gap-x-8 gap-y-3 p-3" aria-label="For all">
      <Form method="post" className="flex min-w-64 grow items-end gap-2">
        <label className="grow">
          A word to all
          <input key={sheet.word} name="word" className="field" maxLength={500} defaultValue={sheet.word} />
        </label>
        <button className="press" type="submit" name="intent" value="word">
          Say it
        </button>
      </Form>
      <Form method="post">
        {sheet.paused_at ? (
          <button className="press press-main" type="submit" name="intent" value="go on">
            Go on
          </button>
        ) : (
          <button className="press" type="submit" name="intent" value="pause" disabled={sheet.state !== "set"}>
            Pause all
          </button>
        )}
      </Form>
      <Form method="post" className="flex items-end gap-2">
        <label>
          The bell, in minutes
          <input name="minutes" type="number" min={0} max={600} defaultValue={10} className="field w-24" required />
        </label>
        <button className="press" type="submit" name="intent" value="bell" disabled={sheet.state !== "set"}>
          Set it
        </button>
        {sheet.bell_at && (
          <>
            <span className="pb-1">
              {rung ? "It rang at " : "It rings at "}
              <strong>{clockTime(sheet.bell_at)}</strong>
            </span>
            <button className="press press-quiet" type="submit" name="intent" value="no bell" formNoValidate>
              No bell
            </button>
          </>
        )}
      </Form>
      <Form method="post" className="ml-auto">
        {sheet.state === "closed" ? (
          <button className="press" type="submit" name="intent" value="open">
            Open it again
          </button>
        ) : (
          <button className="press" type="submit" name="intent" value="close" disabled={sheet.state !== "set"}>
            Collect all and close
          </button>
        )}
      </Form>
      <p className="note-small w-full">
        At the bell everything that is written is handed in by itself, also of who is typing. What comes later, from a
        computer that had no connection, is kept for you to decide.
      </p>
    </section>
  );
}
