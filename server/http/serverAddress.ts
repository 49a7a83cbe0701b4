import { readFileSync, rmSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import * as z from "zod";

const addressSchema = z.object({ address: z.url() });

function place(folder: string): string {
  return join(folder, "server.json");
}

/** Notes where the server of a data folder can be asked from this machine, for commands that need the data. */
export function noteServerAddress(folder: string, address: string): void {
  writeFileSync(place(folder), JSON.stringify({ address }), { mode: 0o600 });
}

/** Forgets it when the server ends. */
export function forgetServerAddress(folder: string): void {
  rmSync(place(folder), { force: true });
}

/** Where the server of a data folder is, if one noted itself; it may have been killed since. */
export function readServerAddress(folder: string): string | null {
  try {
    return addressSchema.parse(JSON.parse(readFileSync(place(folder), "utf8"))).address;
  } catch {
    return null;
  }
}
