import fc from "fast-check";
import { expect, test } from "vitest";
import { decodeText, encodeText } from "./decode.ts";

const utf16 = (text: string, bigEndian: boolean) =>
  Uint8Array.from(
    [...text].flatMap((character) => (bigEndian ? [0, character.charCodeAt(0)] : [character.charCodeAt(0), 0])),
  );

test("UTF-8 with and without a mark, UTF-16 both ways, Latin-1", () => {
  expect(decodeText(new TextEncoder().encode("fähre"))).toMatchObject({
    text: "fähre",
    encoding: "utf-8",
    binary: false,
  });
  expect(decodeText(Uint8Array.from([0xef, 0xbb, 0xbf, 0x61]))).toMatchObject({
    text: "a",
    encoding: "utf-8 with mark",
  });
  expect(decodeText(Uint8Array.from([0xff, 0xfe, ...utf16("fare = 6", false)]))).toMatchObject({
    text: "fare = 6",
    encoding: "utf-16le",
  });
  expect(decodeText(Uint8Array.from([0xfe, 0xff, ...utf16("fare = 6", true)]))).toMatchObject({
    text: "fare = 6",
    encoding: "utf-16be",
  });
  expect(decodeText(utf16("fare = 6", false))).toMatchObject({ text: "fare = 6", encoding: "utf-16le" });
  expect(decodeText(Uint8Array.from([0x66, 0xe4, 0x68, 0x72, 0x65]))).toMatchObject({
    text: "fähre",
    encoding: "latin-1",
  });
});

test("a picture is no program text", () => {
  expect(decodeText(Uint8Array.from([0x89, 0x50, 0x4e, 0x47, 0, 0, 0, 13, 1, 2, 3, 4])).binary).toBe(true);
});

test("any text comes back from its UTF-8 bytes", () => {
  fc.assert(
    fc.property(fc.string({ unit: "grapheme" }), (text) => {
      fc.pre(!text.includes("\0") && !text.startsWith("\ufeff"));
      expect(decodeText(new TextEncoder().encode(text)).text).toBe(text);
    }),
  );
});

test("a text written in an encoding is read back from it", () => {
  for (const encoding of ["utf-8", "utf-8 with mark", "utf-16le", "utf-16be", "latin-1"] as const)
    expect(decodeText(encodeText("fähre = 6\n", encoding))).toMatchObject({ text: "fähre = 6\n", encoding });
});
