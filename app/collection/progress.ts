import { goesOn, judgeCase, judgingProgress, stopJudging } from "../../server/collect/judging.ts";
import { searchOf } from "../../server/mend/findFixes.ts";
import type { Route } from "./+types/progress.ts";

/** Milliseconds after which it is looked although nothing was said: the work may have been stopped elsewhere. */
const longestPause = 2000;

/** How far the judging of a set is: as server-sent events, or once as JSON for pages that cannot hold a stream. */
export async function loader({ params, request, context }: Route.LoaderArgs): Promise<Response> {
  const { services } = context;
  const look = () => judgingProgress(services, params.collectionKey);
  if (!(request.headers.get("accept") ?? "").includes("text/event-stream")) return Response.json(await look());
  const encoder = new TextEncoder();
  const stream = new ReadableStream({
    async start(controller) {
      let last = "";
      let said: () => void = () => undefined;
      const leave = [judgeCase, searchOf].map((kind) => services.queue.onDone(kind, () => said()));
      request.signal.addEventListener("abort", () => said());
      while (!request.signal.aborted) {
        const next = new Promise<void>((resolve) => {
          said = resolve;
          setTimeout(resolve, longestPause);
        });
        const progress = await look();
        const text = JSON.stringify(progress);
        if (text !== last) controller.enqueue(encoder.encode(`data: ${text}\n\n`));
        last = text;
        if (!goesOn(progress)) break;
        await next;
      }
      for (const each of leave) each();
      controller.close();
    },
  });
  return new Response(stream, {
    headers: { "Content-Type": "text/event-stream", "Cache-Control": "no-cache, no-transform" },
  });
}

/** Stops it. */
export async function action({ params, context }: Route.ActionArgs) {
  await stopJudging(context.services, params.collectionKey);
  return Response.json({ stopped: true });
}
