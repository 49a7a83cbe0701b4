import { createHash } from "node:crypto";
import fc from "fast-check";
import { describe, expect, test } from "vitest";
import type { CaseEntry } from "../../core/formats/caseEntry.ts";
import { anonymiser, textAnonymiser } from "./anonymise.ts";

const hashOf = (bytes: Uint8Array) => createHash("sha256").update(bytes).digest("hex");
const at = "2026-09-14T08:00:00.000Z";

/** A case of a student with one version of these bytes. */
function entryWith(bytes: Uint8Array, more: Partial<CaseEntry> = {}): CaseEntry {
  return {
    ...{
      key: "anna-1",
      language: "python",
      title: "Deck loads of Anna Reed",
      intent: "",
      changedLast: "",
      instead: "",
    },
    ...{ cameOut: "", handTable: "", userActions: ["anna pressed enter"], firstLine: 1, onlyRead: false, source: "" },
    ...{ note: "ask ANNA_REED again", symptom: null, collected: at, judged: true, mended: false, course: null },
    ...{ assignment: null, student: "Anna Reed", current: 1, checks: [], layers: [], additions: [] },
    versions: [
      {
        ...{
          number: 1,
          origin: "handed in",
          parent: null,
          worked: false,
          handedIn: true,
          belief: "",
          result: null,
          at,
        },
        files: [{ name: "anna_reed.py", encoding: "utf-8", sha256: hashOf(bytes) }],
        outputs: [{ origin: "run", text: "File /home/Anna.Reed/deck.py" }],
      },
    ],
    ...more,
  };
}

describe("labels in a text", () => {
  test("go in any letter case, inside longer words, and with other signs between their words", () => {
    const clean = textAnonymiser(["Anna Reed"]);
    expect(clean("Anna Reed")).toBe("Student1");
    expect(clean("/home/ANNA_REED/annareed2.py")).toBe("/home/Student1/Student12.py");
    expect(clean("anna.reed, anna-reed and Anna  Reed")).toBe("Student1, Student1 and Student1");
  });

  test("with accents go whichever way a text writes these", () => {
    const clean = textAnonymiser(["Zoë Åström"]);
    for (const form of ["NFC", "NFD"])
      expect(clean("by Zoë Åström, zoë_åström.py, ZOËÅSTRÖM".normalize(form))).toBe(
        "by Student1, Student1.py, Student1",
      );
  });

  test("keep their own number each, the longest first", () => {
    const clean = textAnonymiser(["Ann", "Anna"]);
    expect(clean("Anna and Ann")).toBe("Student2 and Student1");
  });

  test("with signs that mean something in a pattern are taken as they stand", () => {
    expect(textAnonymiser(["S-04 (b)"])("by S-04 (b)!")).toBe("by Student1!");
    expect(textAnonymiser(["A+B"])("AAB A+B")).toBe("AAB Student1");
  });

  test("of one letter stand in too many words, and none is no reason to change anything", () => {
    expect(textAnonymiser(["A"])("A ferry")).toBe("A ferry");
    expect(textAnonymiser([])("A ferry")).toBe("A ferry");
    expect(textAnonymiser(["  "])("A ferry")).toBe("A ferry");
  });

  test("are found nowhere afterwards, whatever they are and wherever they stand", () => {
    // Letters that do not stand in what takes their place.
    const label = fc.stringMatching(/^[bcfghjkloqvwxyz]{2,6}(?: [bcfghjkloqvwxyz]{2,6})?$/);
    const between = fc.stringMatching(/^[ A-Za-z0-9_().;\n]{0,12}$/);
    fc.assert(
      fc.property(
        fc.uniqueArray(label, { minLength: 1, maxLength: 4 }),
        fc.array(between, { maxLength: 5 }),
        (labels, texts) => {
          const text = texts.map((each, place) => `${each}${labels[place % labels.length]}`.toUpperCase()).join("\n");
          const clean = textAnonymiser(labels)(text).toLowerCase();
          for (const each of labels) expect(clean).not.toContain(each);
        },
      ),
    );
  });
});

describe("a case that goes out without its student", () => {
  const program = Buffer.from("# Anna Reed\nprint('Anna')\n", "utf8");
  const clean = anonymiser(["Anna Reed", "Anna"]);

  test("loses the label in its texts, names of files and outputs, and keeps the product's own words", () => {
    const { entry } = clean(entryWith(program), new Map([[hashOf(program), program]]));
    expect(entry.student).toBeNull();
    expect(entry.title).toBe("Deck loads of Student1");
    expect(entry.note).toBe("ask Student1 again");
    expect(entry.userActions).toEqual(["Student2 pressed enter"]);
    expect(entry.versions[0]?.files[0]?.name).toBe("Student1.py");
    expect(entry.versions[0]?.outputs[0]?.text).toBe("File /home/Student1/deck.py");
    // A key is the case's own and names nobody.
    expect(entry.key).toBe("anna-1");
  });

  test("has programs without it, under the hash of what they are now", () => {
    const { entry, bytes } = clean(entryWith(program), new Map([[hashOf(program), program]]));
    const hash = entry.versions[0]?.files[0]?.sha256 ?? "";
    const now = Buffer.from(bytes.get(hash) ?? []);
    expect(now.toString("utf8")).toBe("# Student1\nprint('Student2')\n");
    expect(hashOf(now)).toBe(hash);
    expect(bytes.size).toBe(1);
  });

  test("keeps bytes that are no text, and those of an older way of writing letters", () => {
    const raw = Buffer.from([0x89, 0x50, 0xff, 0x00, 0x0d, 0x0a]);
    const kept = clean(entryWith(raw), new Map([[hashOf(raw), raw]]));
    expect(Buffer.from(kept.bytes.get(hashOf(raw)) ?? []).equals(raw)).toBe(true);
    // "Fähre Anna" in Latin-1.
    const latin = Buffer.from("F\u00e4hre Anna", "latin1");
    const { bytes } = clean(entryWith(latin), new Map([[hashOf(latin), latin]]));
    const [only] = [...bytes.values()];
    expect(Buffer.from(only ?? []).toString("latin1")).toBe("F\u00e4hre Student2");
  });

  test("that names nobody goes out as it is", () => {
    const plain = Buffer.from("print(1)\n", "utf8");
    const entry = entryWith(plain, { title: "Deck loads", note: "", userActions: [], student: null });
    const found = anonymiser(["Bo Lund"])(entry, new Map([[hashOf(plain), plain]]));
    expect(found.entry).toEqual(entry);
    expect(found.bytes.get(hashOf(plain))).toBe(plain);
  });
});
