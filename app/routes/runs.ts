import { services } from "../../server/services.ts";
import { readForm } from "../formText.ts";

/** A run of whoever asks, as its page shows it. */
export type RunShown = { id: string; what: string; state: "waits" | "runs"; before: number; seconds: number };

/** The runs that wait or go on in the name of whoever asks; nobody sees another's. */
export function loader(): { runs: RunShown[] } {
  const now = Date.now();
  return {
    runs: services()
      .toolchains.desk.list()
      .map(({ id, what, state, since, before }) => ({ id, what, state, before, seconds: Math.max(0, Math.round((now - since) / 1000)) })),
  };
}

/** Stops one of them. */
export async function action({ request }: { request: Request }): Promise<{ stopped: boolean }> {
  const form = await readForm(request);
  return { stopped: services().toolchains.desk.stop(String(form.get("id") ?? "")) };
}
