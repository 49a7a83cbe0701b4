/** A file with its path in the folder that was dropped or chosen. */
export type DroppedFile = { path: string; file: File };

/** Most files that are read from a folder; the server says why more are not taken. */
const most = 10_001;

function isFile(entry: FileSystemEntry): entry is FileSystemFileEntry {
  return entry.isFile;
}
function isFolder(entry: FileSystemEntry): entry is FileSystemDirectoryEntry {
  return entry.isDirectory;
}

async function walk(entry: FileSystemEntry, into: DroppedFile[]): Promise<void> {
  if (into.length >= most) return;
  if (isFile(entry)) {
    const file = await new Promise<File>((resolve, reject) => entry.file(resolve, reject));
    into.push({ path: entry.fullPath.replace(/^\//, ""), file });
  } else if (isFolder(entry)) {
    const reader = entry.createReader();
    for (;;) {
      // A reader gives its entries in parts.
      const part = await new Promise<FileSystemEntry[]>((resolve, reject) => reader.readEntries(resolve, reject));
      if (part.length === 0) break;
      for (const each of part) await walk(each, into);
    }
  }
}

/** The files of a drop, folders walked through. */
export async function filesOfDrop(transfer: DataTransfer): Promise<DroppedFile[]> {
  const entries = [...transfer.items].flatMap((item) => item.webkitGetAsEntry() ?? []);
  const files: DroppedFile[] = [];
  if (entries.length === 0) return filesOfInput(transfer.files);
  for (const entry of entries) await walk(entry, files);
  return files;
}

/** The files of a file input; those of a chosen folder have their path in it. */
export function filesOfInput(list: FileList | null): DroppedFile[] {
  return [...(list ?? [])].map((file) => ({ path: file.webkitRelativePath || file.name, file }));
}
