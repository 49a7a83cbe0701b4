import { Dialog } from "radix-ui";
import { useEffect, useState } from "react";
import { useLocation, useSearchParams } from "react-router";
import { letterKeysOn, switchLetterKeys } from "./useLetterKeys.ts";

type KeyRow = { keys: string; does: string };

const everywhere: readonly KeyRow[] = [
  { keys: "Tab, Shift+Tab", does: "next or former field, button or link" },
  { keys: "?", does: "this list" },
];
const onListing: readonly KeyRow[] = [
  { keys: "Up, Down, Home, End", does: "go through the lines of a program" },
  { keys: "Enter, Space", does: "mark the line as faulty, or take the mark away" },
  { keys: "A", does: "accept what is proposed: class, line and fix" },
  { keys: "C", does: "choose another class" },
  { keys: "F", does: "mend it: another fix" },
  { keys: "N, B", does: "next or former case, where you work through several" },
  { keys: "D", does: "change where the fault comes from, when it is noticed, on what it depends" },
  { keys: "G", does: "those that fail alike, where you work through several" },
  { keys: "U", does: "undo what was done last, or have it back" },
];
const onGroups: readonly KeyRow[] = [
  { keys: "N, B", does: "next or former group" },
  { keys: "A", does: "decide the group that you are at" },
  { keys: "G", does: "work through them one by one" },
  { keys: "U", does: "undo what was decided last" },
];
const onAnswers: readonly KeyRow[] = [
  { keys: "0 to 9", does: "give the answer that you are at that mark, for its first item that waits" },
  { keys: "H", does: "a half more" },
];
const inDryRun: readonly KeyRow[] = [
  { keys: "N", does: "next line" },
  { keys: "B", does: "back" },
  { keys: "P", does: "to the next breakpoint, or to the end" },
  { keys: "I, V, O", does: "into what the line calls, over it, out of the call (in the dry run's own room)" },
  { keys: "Enter, Space on a line", does: "set a breakpoint, or take it away" },
];

/** The keys of the screen one is on, opened by "?" or by its button; letter keys can be switched off here. */
export function KeysDialog() {
  const [open, setOpen] = useState(false);
  const [letters, setLetters] = useState(true);
  const { pathname } = useLocation();
  const [query] = useSearchParams();
  const onCase = pathname.startsWith("/cases/");
  const inRoom = onCase && pathname.endsWith("/run");
  const rows = [
    ...everywhere,
    ...(onCase && !inRoom ? onListing : []),
    ...(pathname === "/alike" ? onGroups : []),
    ...(/^\/sheets\/[^/]+\/answers\//.test(pathname) ? onAnswers : []),
    ...(inRoom || (onCase && query.get("leaf") === "trace") ? inDryRun : []),
  ];

  useEffect(() => {
    setLetters(letterKeysOn());
    const onKey = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement;
      const typing =
        target.isContentEditable ||
        target instanceof HTMLInputElement ||
        target instanceof HTMLTextAreaElement ||
        target instanceof HTMLSelectElement;
      if (event.key === "?" && !typing) setOpen(true);
    };
    document.addEventListener("keydown", onKey);
    return () => document.removeEventListener("keydown", onKey);
  }, []);

  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Dialog.Trigger className="press press-quiet text-sm">
        Keys <kbd>?</kbd>
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 bg-ink/30" />
        <Dialog.Content
          className="fixed top-12 left-1/2 grid max-h-[calc(100vh-6rem)] w-[30rem] max-w-[92vw] -translate-x-1/2 gap-3 overflow-y-auto border border-rule-strong bg-sheet p-5"
          aria-describedby={undefined}
        >
          <Dialog.Title className="text-lg font-bold">Keys of this page</Dialog.Title>
          <dl className="grid grid-cols-[10rem_minmax(0,1fr)] gap-y-1">
            {rows.map((row) => (
              <div key={row.keys} className="contents">
                <dt>
                  <kbd>{row.keys}</kbd>
                </dt>
                <dd>{row.does}</dd>
              </div>
            ))}
          </dl>
          <label className="font-normal">
            <input
              type="checkbox"
              checked={letters}
              onChange={(event) => {
                switchLetterKeys(event.target.checked);
                setLetters(event.target.checked);
              }}
            />{" "}
            letters act as keys while a program or table has the focus
          </label>
          <div>
            <Dialog.Close className="press press-main">Close</Dialog.Close>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
