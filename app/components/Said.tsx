import type { Reply } from "../actions.ts";

/**
 * What an action answered, once the page shows what came of it: whoever reads "Kept." finds the newest revision in the
 * page's other forms.
 */
export function settled(fetcher: { state: string; data?: Reply | undefined }): Reply | undefined {
  return fetcher.state === "idle" ? fetcher.data : undefined;
}

/** What an action answered: words, and both texts side by side where somebody else wrote meanwhile. */
export function Said({ reply, className = "" }: { reply: Reply | undefined; className?: string }) {
  if (!reply?.message) return null;
  return (
    <div role={reply.ok ? "status" : "alert"} className={className}>
      <p className="font-semibold">{reply.message}</p>
      {reply.both && (
        <div className="mt-1 grid gap-2 sm:grid-cols-2">
          {(
            [
              ["What you wrote", reply.both.yours],
              ["What stands there now", reply.both.theirs],
            ] as const
          ).map(([title, text]) => (
            <section key={title} aria-label={title} className="min-w-0">
              <h3 className="note-small font-normal">{title}</h3>
              <pre className="border border-rule bg-sheet px-2 py-1 text-sm wrap-anywhere whitespace-pre-wrap">
                {text || "(nothing)"}
              </pre>
            </section>
          ))}
        </div>
      )}
    </div>
  );
}
