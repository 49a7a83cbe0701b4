import { afterAll, expect, test } from "vitest";
import { consoleText, type StepChange } from "../../core/outcome/outcome.ts";
import { readLimits } from "../limits.ts";
import { sharedToolchains } from "../testToolchains.ts";

const toolchains = sharedToolchains();
afterAll(() => toolchains.close());

/** A program in each language that can be changed on its way: a total of deck loads, a ferry, a file of fares. */
const programs: Record<string, { name: string; text: string; line: number }> = {
  python: {
    name: "deck.py",
    line: 7,
    text: `class Ferry:
    def __init__(self, load):
        self.load = load

tern = Ferry(3)
deck = [4, 0, 7]
print(sum(deck) + tern.load)
print(10 // deck[1])
try:
    print(open("fares.txt").read())
except OSError:
    print("no fares")
`,
  },
  java: {
    name: "Deck.java",
    line: 9,
    text: `import java.nio.file.*;
public class Deck {
    static class Ferry {
        int load = 3;
    }
    public static void main(String[] args) throws Exception {
        Ferry tern = new Ferry();
        int[] deck = {4, 0, 7};
        System.out.println(deck[0] + deck[1] + deck[2] + tern.load);
        System.out.println(10 / deck[1]);
        Path fares = Path.of("fares.txt");
        System.out.println(Files.exists(fares) ? Files.readString(fares) : "no fares");
    }
}
`,
  },
  sketch: {
    name: "deck.sketch",
    line: 8,
    text: `class Ferry {
  int load = 3;
}
Ferry tern;
int[] deck = {4, 0, 7};
void setup() {
  tern = new Ferry();
  println(deck[0] + deck[1] + deck[2] + tern.load);
  println(10 / deck[1]);
  String[] fares = new java.io.File("fares.txt").exists() ? loadStrings("fares.txt") : new String[] {"no fares"};
  println(fares[0]);
}
`,
  },
  c: {
    name: "deck.c",
    line: 6,
    text: `#include <stdio.h>
struct ferry { int load; };
int main(void) {
    struct ferry tern = {3};
    int deck[3] = {4, 0, 7};
    printf("%d\\n", deck[0] + deck[1] + deck[2] + tern.load);
    printf("%d\\n", 10 / deck[1]);
    char fares[20] = "";
    FILE *file = fopen("fares.txt", "r");
    puts(file && fgets(fares, 20, file) ? fares : "no fares");
    return 0;
}
`,
  },
  pascal: {
    name: "deck.pas",
    line: 8,
    text: `program ferries;
type tferry = record load: integer; end;
var tern: tferry; deck: array[0..2] of integer; fares: text; line: string;
begin
  tern.load := 3;
  deck[0] := 4; deck[1] := 0;
  deck[2] := 7;
  writeln(deck[0] + deck[1] + deck[2] + tern.load);
  writeln(10 div deck[1]);
  {$I-}
  assign(fares, 'fares.txt'); reset(fares);
  if ioresult <> 0 then line := 'no fares' else readln(fares, line);
  writeln(line);
end.
`,
  },
};

/** The recorded run with something changed before the program's first line that prints. */
async function recorded(language: string, change?: Omit<StepChange, "step" | "line">) {
  const program = programs[language];
  const toolchain = toolchains.find(language);
  if (!program || !toolchain) throw new Error(language);
  const fares = { name: "fares.txt", bytes: Buffer.from("adult 12") };
  const request = {
    files: [{ name: program.name, bytes: Buffer.from(program.text) }, fares],
    ...{ input: "", limits: readLimits() },
  };
  const real = await toolchain.trace(request);
  if (!change) return real;
  const step = real.steps.find((each) => each.line === program.line);
  if (!step) throw new Error("the line did not run");
  return toolchain.trace({ ...request, change: { ...change, step: step.index, line: step.line } });
}

const printed = (trace: Awaited<ReturnType<typeof recorded>>) =>
  consoleText(trace.outcome.console, ["out"]).trim().split(/\s*\n/);

test.each(Object.keys(programs))(
  "%s: a value that is put in counts from there on, and the text stays",
  async (language) => {
    const real = await recorded(language);
    expect(printed(real)).toEqual(["14"]);
    expect(real.outcome.stoppedBy).toBe("fault");
    const divided = await recorded(language, { put: { name: "deck[1]", value: "2" } });
    expect(printed(divided)).toEqual(["16", "5", "adult 12"]);
    expect(divided.notChanged).toBeUndefined();
    expect(printed(await recorded(language, { put: { name: "tern.load", value: "40" } }))).toEqual(["51"]);
    // Up to there both runs are the same; the line itself tells of it.
    const at = divided.steps.findIndex((step) => step.line === programs[language]?.line);
    expect(divided.steps.slice(0, at)).toEqual(real.steps.slice(0, at));
    expect(divided.steps[at]?.writes.some((write) => write.scope === "object" || write.path[0] === "deck")).toBe(true);
  },
);

test.each(Object.keys(programs))("%s: a file that is altered or taken away on the way", async (language) => {
  const mended = { put: { name: "deck[1]", value: "2" } };
  expect(printed(await recorded(language, { ...mended, files: { "fares.txt": "child 6" } })).at(-1)).toBe("child 6");
  expect(printed(await recorded(language, { ...mended, files: { "fares.txt": null } })).at(-1)).toBe("no fares");
});

test.each(Object.keys(programs))("%s: what cannot be put in is said, and the run is as it was", async (language) => {
  for (const [name, value] of [
    ["berth", "3"],
    ["deck[9]", "3"],
    ["deck[0]", "a lot of it"],
    ["deck[0", "1"],
  ] as const) {
    const trace = await recorded(language, { put: { name, value } });
    // A program's own text gets a new name where its language takes one.
    if (language === "python" && name === "berth") expect(trace.notChanged).toBeUndefined();
    else expect(trace.notChanged, `${name} = ${value}`).toMatch(/\S/);
    expect(printed(trace)).toEqual(["14"]);
  }
  const gone = await recorded(language, { files: { "no-such.txt": null } });
  expect(gone.notChanged).toContain("no-such.txt");
});

test.each(Object.keys(programs))(
  "%s: the files that lie beside the program when a line is about to run",
  async (language) => {
    const asked = await recorded(language, {});
    expect(asked.filesAt).toEqual([{ name: "fares.txt", text: "adult 12" }]);
    expect(printed(asked)).toEqual(["14"]);
    expect((await recorded(language)).filesAt).toBeUndefined();
  },
);

test("a file that grows is told as it stands at each step", async () => {
  const text = `with open("log.txt", "w") as log:
    for trip in range(3):
        log.write(f"trip {trip}\\n")
        log.flush()
print("done")
`;
  const request = { files: [{ name: "log.py", bytes: Buffer.from(text) }], input: "", limits: readLimits() };
  const python = toolchains.find("python");
  const real = await python?.trace(request);
  const at = async (step: number) => {
    const trace = await python?.trace({ ...request, change: { step, line: real?.steps[step]?.line ?? 0 } });
    return trace?.filesAt;
  };
  const second = real?.steps.findIndex((step, place) => step.line === 3 && place > 3) ?? 0;
  expect(await at(0)).toEqual([]);
  expect(await at(second)).toEqual([{ name: "log.txt", text: "trip 0\n" }]);
  expect(await at((real?.steps.length ?? 1) - 1)).toEqual([{ name: "log.txt", text: "trip 0\ntrip 1\ntrip 2\n" }]);
});

test("what another job has changed does not show in a run that asks for nothing", async () => {
  const [changed, real] = await Promise.all([
    recorded("python", { put: { name: "deck[1]", value: "5" } }),
    recorded("python"),
  ]);
  expect([printed(changed)[0], printed(real)[0]]).toEqual(["19", "14"]);
});

test("languages whose recorder has no way for it say so by what they can", () => {
  const can = toolchains.all.filter((toolchain) => toolchain.changes).map((toolchain) => toolchain.language);
  expect(can.sort()).toEqual([...Object.keys(programs), "pseudocode"].sort());
});
