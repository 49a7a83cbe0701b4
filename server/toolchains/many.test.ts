import { afterAll, expect, test } from "vitest";
import { consoleText, limitsSchema } from "../../core/outcome/outcome.ts";
import { sharedToolchains } from "../testToolchains.ts";

const toolchains = sharedToolchains();
afterAll(() => toolchains.close());
const python = toolchains.find("python");
const limits = { ...limitsSchema.parse({}), cpuSeconds: 0.4, wallSeconds: 3 };

/** Runs Python texts in one job, each with an input. */
async function many(texts: ReadonlyArray<readonly [string, string]>, beside: Record<string, string> = {}) {
  const others = Object.entries(beside).map(([name, text]) => ({ name, bytes: Buffer.from(text) }));
  return (
    (await python?.runMany?.(
      { files: [{ name: "ferry.py", bytes: new Uint8Array() }, ...others], input: "", limits },
      texts.map(([main, input]) => ({ main: Buffer.from(main), input })),
      30,
    )) ?? []
  );
}

test("Variants of one program give what their own runs would: outputs, refusals, stops, exits, what they read", async () => {
  const texts: Array<readonly [string, string]> = [
    ["cars = int(input())\nprint(cars * 4)\n", "3\n"],
    ["cars = int(input()\nprint(cars * 4)\n", "3\n"],
    ["cars = int(input())\nprint(cars / 0)\n", "3\n"],
    ["cars = int(input())\nprint(input())\n", "3\n"],
    ["import sys\nprint('Sail')\nsys.exit(3)\n", ""],
    ["open('left.txt', 'w').write('tide')\nprint('done')\n", ""],
    ["print('a' * 5)\nprint(undefined)\n", ""],
  ];
  const together = await many(texts);
  for (const [at, [text, input]] of texts.entries()) {
    const alone = await python?.run({ files: [{ name: "ferry.py", bytes: Buffer.from(text) }], input, limits });
    expect({ ...together[at], milliseconds: 0 }, text).toEqual({ ...alone, milliseconds: 0 });
  }
});

test("A variant that loops, floods or sleeps costs its own limit only", async () => {
  const told = await many([
    ["while True:\n    pass\n", ""],
    ["print('first')\n", ""],
    ["while True:\n    print('x' * 1000)\n", ""],
    ["import time\ntime.sleep(60)\n", ""],
    ["print('last')\n", ""],
  ]);
  expect(told.map((outcome) => outcome?.stoppedBy)).toEqual(["time", "none", "output", "time", "none"]);
  expect(consoleText(told[4]?.console ?? [], ["out"])).toBe("last\n");
});

test("What a variant leaves behind is gone before the next one: files, folders, processes, changes of a file beside it", async () => {
  const look =
    "import os\nprint(sorted(os.listdir('.')), os.listdir('/tmp'), os.listdir('/dev/shm'), open('tides.txt').read(), len([p for p in os.listdir('/proc') if p.isdigit()]))\n";
  const leave = [
    "import os\nos.mkdir('deck')\nopen('deck/list', 'w').write('1')\nopen('tides.txt', 'w').write('gone')\n",
    "import os\nos.remove('tides.txt')\nopen('/tmp/more', 'w').write('1')\nopen('/dev/shm/more', 'w').write('1')\nos.symlink('/tmp', 'link')\n",
    "import os\nos.mkdir('empty')\n",
    "import os, time\nif os.fork() == 0:\n    if os.fork() == 0:\n        os.setsid()\n        time.sleep(60)\n    os._exit(0)\nos.wait()\n",
  ];
  const told = await many([[look, ""], ...leave.flatMap((text) => [[text, ""] as const, [look, ""] as const])], {
    "tides.txt": "3.1",
  });
  const seen = [0, 2, 4, 6, 8].map((at) => consoleText(told[at]?.console ?? [], ["out"]));
  expect(seen[0]).toContain("'ferry.py', 'tides.txt'] ['case'] [] 3.1");
  for (const each of seen) expect(each).toBe(seen[0]);
  expect(told[1]?.effects.map((each) => [each.name, each.change])).toEqual([
    ["tides.txt", "changed"],
    ["deck/list", "new"],
  ]);
});

test("A variant cannot speak for the others: what it ends or scribbles over is not told, and each of the others is as it is", async () => {
  const told = await many([
    ["print('first')\n", ""],
    ["import os\nos.write(1, b'past the streams')\n", ""],
    ["import os, signal\nos.kill(os.getpid(), signal.SIGSEGV)\n", ""],
    ["import os, signal\nos.kill(os.getppid(), signal.SIGKILL)\nprint('still here')\n", ""],
    ["print('last')\n", ""],
  ]);
  expect(consoleText(told[0]?.console ?? [], ["out"])).toBe("first\n");
  expect(told.slice(1, 3)).toEqual([null, null]);
  // The one that ends whoever watches may come to its own end before all of it is ended, and so may what follows.
  for (const [at, text] of [
    [3, "still here\n"],
    [4, "last\n"],
  ] as const)
    if (told[at]) expect(consoleText(told[at].console, ["out"])).toBe(text);
  // Whoever asks next is served as if nothing had been.
  expect(consoleText((await many([["print('again')\n", ""]]))[0]?.console ?? [], ["out"])).toBe("again\n");
});
