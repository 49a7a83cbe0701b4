import type { StudentView } from "../../server/results/studentView.ts";
import { BenchChoices } from "../components/BenchChoices.tsx";
import type { SaveState } from "./outbox.ts";
import { clockTime, TimeLeft } from "./TimeLeft.tsx";
import type { Room } from "./useRoom.ts";

/** What is said of how the answers are kept. */
function keptWords({ state, message, at }: SaveState): string {
  if (message) return message;
  if (state === "saving" || state === "waiting") return "Saving…";
  return at === null ? "All answers are saved." : `All answers are saved. The last one at ${clockTime(at)}.`;
}

/** The head of a sheet that is sat: whose it is, how it is kept, how long is left, what the teacher says to all. */
export function SheetHead({
  view,
  room,
  save,
  onEnd,
}: {
  view: StudentView;
  room: Room;
  save: SaveState;
  onEnd: () => void;
}) {
  const over = view.handedIn ? "Handed in." : view.closed ? "Closed." : null;
  return (
    <header className="sticky top-0 z-10 border-b-2 border-rule-strong bg-leaf px-4 py-2">
      <div className="mx-auto flex max-w-4xl flex-wrap items-baseline gap-x-4">
        <h1 className="text-lg">{view.title}</h1>
        <span className="note-small">
          {view.label}
          {view.attempt > 1 ? `, try ${view.attempt}` : ""}
          {view.otherScene ? ", with other names and numbers" : ""}
        </span>
        {room.endsAt && !over && (
          <span className="text-sm">
            <TimeLeft endsAt={room.endsAt} ahead={room.ahead} paused={room.paused} onEnd={onEnd} />
          </span>
        )}
        <p role="status" className={`note-small ml-auto ${save.message ? "font-semibold text-ink" : ""}`}>
          {over && save.state === "saved" ? over : keptWords(save)}
        </p>
        <BenchChoices />
      </div>
      <div className="mx-auto max-w-4xl" role="status">
        {room.word !== "" && (
          <p className="mt-1 border-l-4 border-steel bg-slip px-3 py-1">
            <strong>Your teacher says:</strong> {room.word}
          </p>
        )}
        {room.paused && !over && (
          <p className="mt-1 border-l-4 border-ochre bg-sheet px-3 py-1">
            <strong>Paused.</strong> Look up: your teacher has something to say. What you wrote is kept, and no time is
            lost.
          </p>
        )}
      </div>
    </header>
  );
}
