/** How the bytes of a file were read as text. */
export type Decoded = {
  text: string;
  encoding: "utf-8" | "utf-8 with mark" | "utf-16le" | "utf-16be" | "latin-1";
  binary: boolean;
};

function startsWith(bytes: Uint8Array, ...mark: number[]): boolean {
  return mark.every((value, index) => bytes[index] === value);
}

/**
 * Reads bytes as text: a byte-order mark decides, then valid UTF-8, then UTF-16 recognised by its zero bytes, else
 * Latin-1 (ISO 8859-1, where every byte is a character). `binary` is true for what is no program text: zero bytes or
 * many control characters.
 */
export function decodeText(bytes: Uint8Array): Decoded {
  if (startsWith(bytes, 0xef, 0xbb, 0xbf)) return finish(new TextDecoder("utf-8").decode(bytes), "utf-8 with mark");
  if (startsWith(bytes, 0xff, 0xfe)) return finish(new TextDecoder("utf-16le").decode(bytes), "utf-16le");
  if (startsWith(bytes, 0xfe, 0xff)) return finish(decodeUtf16BigEndian(bytes.subarray(2)), "utf-16be");
  const sample = bytes.subarray(0, 4096);
  let zerosEven = 0;
  let zerosOdd = 0;
  sample.forEach((value, index) => {
    if (value === 0) index % 2 === 0 ? zerosEven++ : zerosOdd++;
  });
  if (sample.length >= 4 && bytes.length % 2 === 0) {
    if (zerosOdd > sample.length * 0.3 && zerosEven === 0)
      return finish(new TextDecoder("utf-16le").decode(bytes), "utf-16le");
    if (zerosEven > sample.length * 0.3 && zerosOdd === 0) return finish(decodeUtf16BigEndian(bytes), "utf-16be");
  }
  try {
    return finish(new TextDecoder("utf-8", { fatal: true, ignoreBOM: true }).decode(bytes), "utf-8");
  } catch {
    let text = "";
    for (let at = 0; at < bytes.length; at += 8192) text += String.fromCharCode(...bytes.subarray(at, at + 8192));
    return finish(text, "latin-1");
  }
}

/** The bytes of a text in an encoding that `decodeText` named, with its mark where that encoding has one. */
export function encodeText(text: string, encoding: Decoded["encoding"]): Uint8Array {
  if (encoding === "utf-8") return new TextEncoder().encode(text);
  if (encoding === "utf-8 with mark") return Uint8Array.from([0xef, 0xbb, 0xbf, ...new TextEncoder().encode(text)]);
  if (encoding === "latin-1" && [...text].every((character) => (character.codePointAt(0) ?? 0) < 256))
    return Uint8Array.from(text, (character) => character.charCodeAt(0));
  if (encoding === "latin-1") return new TextEncoder().encode(text);
  const big = encoding === "utf-16be";
  const bytes = big ? [0xfe, 0xff] : [0xff, 0xfe];
  for (let at = 0; at < text.length; at++) {
    const unit = text.charCodeAt(at);
    bytes.push(...(big ? [unit >> 8, unit & 255] : [unit & 255, unit >> 8]));
  }
  return Uint8Array.from(bytes);
}

function decodeUtf16BigEndian(bytes: Uint8Array): string {
  const swapped = new Uint8Array(bytes.length - (bytes.length % 2));
  for (let at = 0; at + 1 < bytes.length; at += 2) {
    swapped[at] = bytes[at + 1] ?? 0;
    swapped[at + 1] = bytes[at] ?? 0;
  }
  return new TextDecoder("utf-16le").decode(swapped);
}

function finish(text: string, encoding: Decoded["encoding"]): Decoded {
  let controls = 0;
  const sample = text.slice(0, 8192);
  for (let at = 0; at < sample.length; at++) {
    const code = sample.charCodeAt(at);
    if (code < 32 && code !== 9 && code !== 10 && code !== 13 && code !== 12 && code !== 27) controls++;
  }
  return { text, encoding, binary: sample.includes("\0") || controls > sample.length * 0.05 };
}
