import { Form } from "react-router";
import type { ShownPart } from "../../server/lessons/lessonView.ts";
import { ChangeOfSign } from "./ChangeOfSign.tsx";

/** The changes of a lab in its editor: taken out, looked for, or one of the teacher's own. */
export function LabChanges({
  part,
  lab,
  revision,
  busy,
}: {
  part: string;
  lab: NonNullable<Extract<ShownPart, { kind: "lab" }>["shows"]>;
  revision: number;
  busy: boolean;
}) {
  const hidden = (
    <>
      <input type="hidden" name="revision" value={revision} />
      <input type="hidden" name="part" value={part} />
    </>
  );
  return (
    <div className="grid gap-3 border-t border-rule pt-2">
      <ul className="grid gap-1" aria-label="Changes of one sign">
        {lab.changes.map((change) => (
          <li key={change.number} className="flex items-baseline gap-3 text-sm">
            <span>
              <ChangeOfSign change={change} />
            </span>
            <Form method="post" className="ml-auto shrink-0" preventScrollReset>
              {hidden}
              <input type="hidden" name="number" value={change.number} />
              <button className="press press-quiet text-sm" type="submit" name="intent" value="drop" disabled={busy}>
                Take it out
              </button>
            </Form>
          </li>
        ))}
      </ul>
      <Form method="post" preventScrollReset>
        {hidden}
        <button className="press text-sm" type="submit" name="intent" value="propose" disabled={busy}>
          Look for changes, and run them
        </button>
      </Form>
      <Form method="post" className="grid gap-1" preventScrollReset>
        {hidden}
        <label className="grid gap-1">
          A change of your own: one sign of the program that is right
          <textarea
            name="text"
            rows={Math.min(14, lab.lines.length + 1)}
            className="field field-code"
            defaultValue={lab.right}
            spellCheck={false}
          />
        </label>
        <div>
          <button className="press text-sm" type="submit" name="intent" value="change" disabled={busy}>
            Run it, and keep it
          </button>
        </div>
      </Form>
    </div>
  );
}
