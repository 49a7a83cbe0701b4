import { describe, expect, test } from "vitest";
import { findLanguage } from "../languages/languages.ts";
import { choosePair, type PairCandidate, plainStem } from "./pairing.ts";

const program = (id: string, path: string, text = "fare = 4\nprint(fare)\n", student = ""): PairCandidate => ({
  ...{ id, student, files: [{ path, text }] },
  language: findLanguage("python") ?? null,
});
const paired = (path: string, text: string, candidates: readonly PairCandidate[], student = "") =>
  choosePair({ path, text, student }, candidates).best?.id ?? null;

const stopped = (file: string, line: number, excerpt: string) =>
  `Traceback (most recent call last):\n  File "${file}", line ${line}, in <module>\n    ${excerpt}\nNameError: name 'fre' is not defined\n`;

test.each([
  ["set/fares_error.txt", "fares"],
  ["fares-output2.txt", "fares"],
  ["fares.py.txt", "fares"],
  ["Fares Errors.log", "fares"],
  ["fares_meldung.txt", "fares_meldung"],
  ["fares.err.txt", "fares"],
  ["error.txt", ""],
  ["FARES.PY", "fares"],
])("the name of %s without what says that it is an output is %j", (path, stem) => {
  expect(plainStem(path)).toBe(stem);
});

describe("an output belongs to", () => {
  test("the program of its name, whatever folder that lies in", () => {
    const candidates = [program("1", "programs/fares.py"), program("2", "programs/tide.py")];
    expect(paired("outputs/tide_error.txt", "NameError: name 'x' is not defined", candidates)).toBe("2");
  });

  test("the one with just that name, where another has it but for a word that outputs have", () => {
    const candidates = [program("1", "lay.py"), program("2", "layout.py")];
    expect(paired("layout.txt", "it stops", candidates)).toBe("2");
    expect(paired("lay.txt", "it stops", candidates)).toBe("1");
    expect(paired("lay_error.txt", "it stops", candidates)).toBe(null);
  });

  test("the one whose file and line the message quotes", () => {
    const candidates = [
      program("1", "k07/fares.py", "fare = 4\nprint(fare)\n"),
      program("2", "k08/fares.py", "fare = 4\nprint(fre)\n"),
    ];
    expect(paired("messages/1.txt", stopped("fares.py", 2, "print(fre)"), candidates)).toBe("2");
  });

  test("none of two that fit alike, and none that only lies in the same folder with others", () => {
    const alike = [program("1", "k07/fares.py"), program("2", "k08/fares.py")];
    expect(paired("fares_error.txt", "it stops", alike)).toBe(null);
    const together = [program("1", "k07/fares.py"), program("2", "k07/tide.py")];
    expect(paired("k07/seen.txt", "it stops", together)).toBe(null);
  });

  test("the only program of its folder, and the program of its student", () => {
    const candidates = [program("1", "k07/fares.py", "", "k07"), program("2", "k08/fares.py", "", "k08")];
    expect(paired("k08/seen.txt", "it stops", candidates)).toBe("2");
    expect(paired("all/fares_error.txt", "it stops", candidates, "k07")).toBe("1");
  });

  test("no program that is too short for the line that is named, if another is long enough", () => {
    const candidates = [
      program("1", "k07/fares.py", "fare = 4\n"),
      program("2", "k08/fares.py", "fare = 4\n".repeat(9)),
    ];
    expect(paired("fares_error.txt", stopped("fares.py", 7, "fare = 4"), candidates)).toBe("2");
  });

  test("a program of a name with accents, whichever way its system writes them", () => {
    const candidates = [program("1", "Fähre.py"), program("2", "tide.py")];
    expect(paired("Fa\u0308hre_error.txt", "it stops", candidates)).toBe("1");
  });

  test("no program only since neither has a name before its ending", () => {
    expect(choosePair({ path: "k07/.txt", text: "it stops", student: "" }, [program("1", "k08/.py")]).fits).toEqual([]);
  });

  test("nobody where nothing speaks for one; what speaks is told, the best first, no more than five", () => {
    expect(choosePair({ path: "seen.txt", text: "it stops", student: "" }, [])).toEqual({ best: null, fits: [] });
    const many = Array.from({ length: 9 }, (_, at) => program(String(at), `k${at}/fares.py`));
    const { best, fits } = choosePair({ path: "k3/fares_out.txt", text: "it stops", student: "" }, many);
    expect([best?.id, fits.length, fits[0]?.id]).toEqual(["3", 5, "3"]);
    expect(best?.reasons).toEqual(["same file name", "the only program of its folder"]);
  });
});
