/**
 * The pack of all that the browser's own Python needs, so that one request fetches it. Layout, little endian: u32 length
 * of a head, the head (JSON: a list of {name, size}), then the parts one after another, `size` bytes each.
 */
export type PackPart = { name: string; bytes: Uint8Array };

export function writePack(parts: readonly PackPart[]): Uint8Array {
  const head = new TextEncoder().encode(JSON.stringify(parts.map(({ name, bytes }) => ({ name, size: bytes.length }))));
  const pack = new Uint8Array(4 + head.length + parts.reduce((sum, { bytes }) => sum + bytes.length, 0));
  new DataView(pack.buffer).setUint32(0, head.length, true);
  pack.set(head, 4);
  let at = 4 + head.length;
  for (const { bytes } of parts) {
    pack.set(bytes, at);
    at += bytes.length;
  }
  return pack;
}

/** The parts of a pack by name. Throws an Error if it is none, or is cut off. */
export function readPack(pack: ArrayBuffer): Map<string, Uint8Array> {
  const broken = new Error("This is no pack of the browser’s Python, or not all of it.");
  if (pack.byteLength < 4) throw broken;
  const headLength = new DataView(pack).getUint32(0, true);
  if (4 + headLength > pack.byteLength) throw broken;
  const head: unknown = JSON.parse(new TextDecoder().decode(new Uint8Array(pack, 4, headLength)));
  if (!Array.isArray(head)) throw broken;
  const parts = new Map<string, Uint8Array>();
  let at = 4 + headLength;
  for (const entry of head) {
    const { name, size } = Object(entry);
    if (typeof name !== "string" || !Number.isInteger(size) || size < 0 || at + size > pack.byteLength) throw broken;
    parts.set(name, new Uint8Array(pack, at, size));
    at += size;
  }
  return parts;
}
