import { useState } from "react";
import type { useFetcher } from "react-router";
import type { Reply } from "../actions.ts";
import { Revision } from "../assignment/Revision.tsx";
import { copyText } from "../components/copyText.ts";
import { Said, settled } from "../components/Said.tsx";

/** A line that is ready to be copied. */
function Copied({ label, text }: { label: string; text: string }) {
  const [done, setDone] = useState<boolean | null>(null);
  return (
    <div className="min-w-0">
      <p className="note-small">{label}</p>
      <div className="flex items-start gap-2">
        <code className="min-w-0 flex-1 border border-rule bg-sheet px-2 py-1 font-mono text-sm break-all">{text}</code>
        <button
          type="button"
          className="press press-quiet text-sm"
          aria-label={`Copy: ${label}`}
          onClick={() => void copyText(text).then(setDone)}
        >
          {done === null ? "copy" : done ? "copied" : "not copied: mark it, then Ctrl+C"}
        </button>
      </div>
    </div>
  );
}

/** Opens the hand-in page of an assignment and shows how it is reached: by page, by curl, by our own command. */
export function HandInPanel({
  handIn: { code, open, origin, withStudents },
  fetcher,
}: {
  handIn: { code: string | null; open: boolean; origin: string; withStudents: boolean };
  fetcher: ReturnType<typeof useFetcher<Reply>>;
}) {
  const who = withStudents ? " -F student=S-01 -F code=YOUR-CODE" : "";
  const whoOption = withStudents ? " --student S-01 --code YOUR-CODE" : "";
  const page = `${origin}/s/hand-in/${code}`;
  return (
    <fetcher.Form method="post" className="leaf grid gap-3 p-3">
      <Revision />
      <h2 className="text-base">Students hand in</h2>
      <label className="font-normal">
        <input type="checkbox" name="open" defaultChecked={open} /> the hand-in page is open
      </label>
      <div>
        <button className="press" type="submit" name="intent" value="hand-in">
          Keep
        </button>
        <Said reply={settled(fetcher)} className="mt-1" />
      </div>
      {code && (
        <div className="grid gap-2">
          <Copied label="Address for students" text={page} />
          <Copied
            label="From a terminal, with what it says"
            text={`python3 deck.py 2>&1 | curl -F program=@deck.py -F output=@-${who} ${origin}/api/hand-in/${code}`}
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
    </fetcher.Form>
  );
}
