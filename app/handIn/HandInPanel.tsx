import { type ReactNode, useState } from "react";
import { Form } from "react-router";

/** A line that is ready to be copied. */
function Copied({ label, text }: { label: string; text: string }) {
  const [done, setDone] = useState(false);
  return (
    <div className="min-w-0">
      <p className="note-small">{label}</p>
      <div className="flex items-start gap-2">
        <code className="min-w-0 flex-1 border border-rule bg-sheet px-2 py-1 font-mono text-sm break-all">{text}</code>
        <button
          type="button"
          className="press press-quiet text-sm"
          aria-label={`Copy: ${label}`}
          onClick={() => void navigator.clipboard?.writeText(text).then(() => setDone(true))}
        >
          {done ? "copied" : "copy"}
        </button>
      </div>
    </div>
  );
}

/** Opens the hand-in page of a course and shows how it is reached: by page, by curl, by our own command. */
export function HandInPanel({
  assignment,
  origin,
  said,
  withStudents,
}: {
  assignment: { handInCode: string | null; open: boolean; statement: string };
  origin: string;
  said: ReactNode;
  withStudents: boolean;
}) {
  const who = withStudents ? " -F student=S-01 -F code=YOUR-CODE" : "";
  const whoOption = withStudents ? " --student S-01 --code YOUR-CODE" : "";
  const page = `${origin}/s/hand-in/${assignment.handInCode}`;
  return (
    <Form method="post" className="leaf grid gap-3 p-3">
      <h2 className="text-base">Students hand in</h2>
      <label className="font-normal">
        <input type="checkbox" name="open" defaultChecked={assignment.open} /> the hand-in page is open
      </label>
      <label>
        The task, for whoever cannot say what the program was meant to do
        <textarea name="task" className="field" rows={3} defaultValue={assignment.statement} />
      </label>
      <div>
        <button className="press" type="submit" name="intent" value="hand-in">
          Keep
        </button>
        {said}
      </div>
      {assignment.handInCode && (
        <div className="grid gap-2">
          <Copied label="Address for students" text={page} />
          <Copied
            label="From a terminal, with what it says"
            text={`python3 deck.py 2>&1 | curl -F program=@deck.py -F output=@-${who} ${origin}/api/hand-in/${assignment.handInCode}`}
          />
          <Copied
            label="The same by our own command"
            text={`python3 deck.py 2>&1 | bent-nail hand-in deck.py --to ${page}${whoOption}`}
          />
          <p className="note-small">
            The call is described at{" "}
            <a className="link" href="/api/openapi.json">
              /api/openapi.json
            </a>
            .
          </p>
        </div>
      )}
    </Form>
  );
}
