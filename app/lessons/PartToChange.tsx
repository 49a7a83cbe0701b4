import { Form } from "react-router";
import type { Part } from "../../core/lessons/lesson.ts";
import { findPart } from "../../core/lessons/parts.ts";
import type { ShownPart } from "../../server/lessons/lessonView.ts";
import { allPartParts } from "./parts/list.ts";
import type { PartChoices } from "./parts/partParts.ts";

/** A part of a lesson in its editor: what it is about, whether it is in, its place, and its form. */
export function PartToChange({
  part,
  place,
  choices,
  revision,
  busy,
}: {
  part: Part & { shown: ShownPart | null };
  place: { at: number; count: number };
  choices: PartChoices;
  revision: number;
  busy: boolean;
}) {
  const parts = allPartParts.find(({ kind }) => kind === part.kind);
  const name = part.title || findPart(part.kind)?.title || part.kind;
  const { shown } = part;
  return (
    <li className={`leaf grid gap-2 p-3 ${part.out ? "border-dashed" : ""}`}>
      <div className="flex flex-wrap items-baseline gap-x-3 gap-y-1">
        <h2 className="text-base">
          {place.at + 1}. {name}
        </h2>
        <span className="note-small">
          {part.out
            ? "left out"
            : shown
              ? `${shown.takes} ${shown.takes === 1 ? "minute" : "minutes"}`
              : "cannot be shown"}
          {shown &&
            shown.tasks > 0 &&
            `, task ${shown.firstTask}${shown.tasks > 1 ? ` to ${shown.firstTask + shown.tasks - 1}` : ""}`}
        </span>
        <Form method="post" className="ml-auto flex flex-wrap gap-2" preventScrollReset>
          <input type="hidden" name="revision" value={revision} />
          <input type="hidden" name="part" value={part.key} />
          {(
            [
              ["out", part.out ? "Take it in" : "Leave it out", false],
              ["up", "Earlier", place.at === 0],
              ["down", "Later", place.at === place.count - 1],
              ["away", "Take it away", false],
            ] as const
          ).map(([intent, words, off]) => (
            <button
              key={intent}
              className="press press-quiet text-sm"
              type="submit"
              name="intent"
              value={intent}
              disabled={off || busy}
              aria-label={`${name}: ${words}`}
            >
              {words}
            </button>
          ))}
        </Form>
      </div>
      {shown && parts && (
        <div className="text-sm">
          <parts.Plan part={shown} />
        </div>
      )}
      {parts && (
        <details>
          <summary className="cursor-pointer text-sm text-steel-deep">Change it</summary>
          <Form key={revision} method="post" className="grid gap-2 pt-2" preventScrollReset>
            <input type="hidden" name="revision" value={revision} />
            <input type="hidden" name="part" value={part.key} />
            <div className="flex flex-wrap gap-3">
              <label>
                What you call it
                <input name="title" className="field" defaultValue={part.title} maxLength={200} />
              </label>
              <label>
                Minutes, if you know better
                <input name="minutes" className="field w-24" inputMode="numeric" defaultValue={part.minutes ?? ""} />
              </label>
            </div>
            <parts.Fields content={part.content} choices={choices} />
            <div>
              <button className="press" type="submit" name="intent" value="part" disabled={busy}>
                Keep it so
              </button>
            </div>
          </Form>
          {shown && parts.More && <parts.More key={`more ${revision}`} part={shown} revision={revision} busy={busy} />}
        </details>
      )}
    </li>
  );
}
