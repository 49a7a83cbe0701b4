import yazl from "yazl";
import type { Entry } from "../../core/collecting/entries.ts";

/** Files as one zip. */
export async function zipOf(entries: readonly Entry[]): Promise<Buffer> {
  const file = new yazl.ZipFile();
  for (const entry of entries) file.addBuffer(Buffer.from(entry.bytes), entry.path);
  file.end();
  const parts: Buffer[] = [];
  for await (const part of file.outputStream) parts.push(Buffer.from(part));
  return Buffer.concat(parts);
}
