import { judgingProgress, stopJudging } from "../../server/collecting/judging.ts";
import { services } from "../../server/services.ts";
import type { Route } from "./+types/collectionProgress.ts";

/** Milliseconds between two looks at the work. */
const between = 300;

/** How far the judging of a set is: as server-sent events, or once as JSON for pages that cannot hold a stream. */
export async function loader({ params, request }: Route.LoaderArgs): Promise<Response> {
  const look = () => judgingProgress(services(), params.collectionKey);
  if (!(request.headers.get("accept") ?? "").includes("text/event-stream")) return Response.json(await look());
  const encoder = new TextEncoder();
  const stream = new ReadableStream({
    async start(controller) {
      let last = "";
      while (!request.signal.aborted) {
        const progress = await look();
        const text = JSON.stringify(progress);
        if (text !== last) controller.enqueue(encoder.encode(`data: ${text}\n\n`));
        last = text;
        if (progress?.state !== "running") break;
        await new Promise((resolve) => setTimeout(resolve, between));
      }
      controller.close();
    },
  });
  return new Response(stream, { headers: { "Content-Type": "text/event-stream", "Cache-Control": "no-cache, no-transform" } });
}

/** Stops it. */
export async function action({ params }: Route.ActionArgs) {
  await stopJudging(services(), params.collectionKey);
  return Response.json({ stopped: true });
}
