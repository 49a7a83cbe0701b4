/** A run of whoever asks, as its page shows it; `before`: how many waiting runs come before it. */
export type RunShown = { id: string; what: string; state: "waits" | "runs"; before: number; seconds: number };
