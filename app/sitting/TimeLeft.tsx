import { useEffect, useState } from "react";

/** What is left of a time in words: whole minutes, and seconds in the last two. */
export function leftInWords(milliseconds: number): string {
  const seconds = Math.max(0, Math.ceil(milliseconds / 1000));
  if (seconds < 120) return `${seconds} ${seconds === 1 ? "second" : "seconds"}`;
  return `${Math.ceil(seconds / 60)} minutes`;
}

/** A moment as the clock on the wall shows it. */
export function clockTime(time: string | number): string {
  return new Date(time).toLocaleTimeString("en-GB", { hour: "2-digit", minute: "2-digit" });
}

/** Minutes before the end that are said aloud to who does not look at the clock. */
const saidAt = [10, 5, 1];

/** How long is left until a sitting is handed in by itself; tells when the time is over. `ahead`: of the server's clock. */
export function TimeLeft({
  endsAt,
  ahead,
  paused,
  onEnd,
}: {
  endsAt: string;
  ahead: number;
  paused: boolean;
  onEnd: () => void;
}) {
  const [now, setNow] = useState<number | null>(null);
  useEffect(() => {
    const tick = () => setNow(Date.now() + ahead);
    tick();
    const clock = setInterval(tick, 1000);
    return () => clearInterval(clock);
  }, [ahead]);
  const left = now === null ? null : Date.parse(endsAt) - now;
  const over = left !== null && left <= 0 && !paused;
  useEffect(() => {
    if (over) onEnd();
  }, [over, onEnd]);
  if (left === null) return null;
  const said = saidAt.findLast((minutes) => left <= minutes * 60_000);
  return (
    <>
      <span className={left < 120_000 ? "font-semibold" : ""}>
        {over ? "Time is over" : `${leftInWords(left)} left`}
        {paused ? " (the clock stands still)" : over ? "" : `, until ${clockTime(endsAt)}`}
      </span>
      <span role="status" className="sr-only">
        {over
          ? "Time is over. It is being handed in."
          : said
            ? `${said} ${said === 1 ? "minute" : "minutes"} left`
            : ""}
      </span>
    </>
  );
}
