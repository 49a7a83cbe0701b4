import qrcode from "qrcode";
import type { Database } from "../database/database.ts";
import { listSheets } from "../sheets/sheetStore.ts";
import { networkAddresses } from "./addresses.ts";

/**
 * What whoever starts a server for a room reads on the terminal: where students go, as text and as a QR code (ISO/IEC
 * 18004), and the codes of the sheets that are open.
 */
export async function roomOnTerminal(
  database: Database,
  protocol: string,
  port: number,
  addresses: readonly string[] = networkAddresses(),
): Promise<string> {
  const [first, ...others] = addresses.map((address) => `${protocol}://${address}:${port}/s`);
  if (!first) return "This machine is in no network: students cannot reach it.\n";
  const open = (await listSheets(database)).filter(({ state }) => state === "set");
  const codes = open.map(({ code, title }) => `   ${code}   ${title}`);
  return [
    "",
    `   Students open   ${first}`,
    ...others.map((address) => `   or              ${address}`),
    "",
    await qrcode.toString(first, { type: "terminal", small: true }),
    ...(codes.length > 0 ? ["   Sheets that are open:", ...codes] : ["   No sheet is open yet."]),
    `   You work at     ${protocol}://127.0.0.1:${port}/`,
    "",
  ].join("\n");
}
