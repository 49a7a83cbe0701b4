import { writeFile } from "node:fs/promises";
import yazl from "yazl";
import { createToolchains } from "../../server/toolchains/toolchains.ts";
import { classSet } from "./classSet.ts";

/** Writes the class set, with outputs of real runs, as a zip to the path that is given. */
const path = process.argv[2];
if (path === undefined) throw new Error("name the zip to write");
const toolchains = createToolchains();
const file = new yazl.ZipFile();
for (const entry of await classSet(toolchains)) file.addBuffer(Buffer.from(entry.bytes), entry.path);
file.end();
const parts: Buffer[] = [];
for await (const part of file.outputStream) parts.push(Buffer.from(part));
await writeFile(path, Buffer.concat(parts));
await toolchains.close();
process.exit();
