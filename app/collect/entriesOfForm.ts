import type { Entry } from "../../core/collecting/entries.ts";

/** The files of a form: fields `file` and `path` in pairs; without a path a file's own name counts. */
export async function entriesOfForm(form: FormData): Promise<Entry[]> {
  const paths = form.getAll("path").map(String);
  const entries: Entry[] = [];
  for (const [index, file] of form.getAll("file").entries())
    if (file instanceof File)
      entries.push({ path: paths[index] || file.name, bytes: new Uint8Array(await file.arrayBuffer()) });
  return entries;
}

/** Files that were chosen in a field, by their own names. */
export function entriesOfFiles(files: readonly File[]): Promise<Entry[]> {
  return Promise.all(files.map(async (file) => ({ path: file.name, bytes: new Uint8Array(await file.arrayBuffer()) })));
}
