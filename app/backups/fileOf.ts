import { createReadStream, rmSync } from "node:fs";
import { Readable } from "node:stream";

/**
 * A zip as the answer to a request, read as it is sent. `folder` goes when it has been sent, or when the asker is gone.
 */
export function zipAnswer(path: string, name: string, folder?: string): Response {
  const stream = createReadStream(path);
  if (folder) stream.once("close", () => rmSync(folder, { recursive: true, force: true }));
  return new Response(Readable.toWeb(stream) as ReadableStream<Uint8Array>, {
    headers: { "Content-Type": "application/zip", "Content-Disposition": `attachment; filename="${name}"` },
  });
}
