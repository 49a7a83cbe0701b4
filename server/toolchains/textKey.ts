import { createHash } from "node:crypto";
import type { RunRequest } from "../../core/outcome/outcome.ts";

/** Names the very text of a program's files. */
export function textKey(request: Pick<RunRequest, "files">): string {
  const hash = createHash("sha256");
  for (const file of request.files) hash.update(`${file.name}\0${file.bytes.length}\0`).update(file.bytes);
  return hash.digest("hex");
}
