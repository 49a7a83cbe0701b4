import { execFileSync } from "node:child_process";
import { existsSync } from "node:fs";
import { join } from "node:path";
import { expect, test } from "vitest";
import { consoleText, limitsSchema } from "../../core/outcome/outcome.ts";
import { createToolchains } from "../toolchains/toolchains.ts";

/** Asks for the place behind the server at given seconds; `refusals` are what the system answers, "" for yes. */
function asked(at: readonly number[], refusals: readonly string[]): unknown {
  const script = `
import json, sys
from bent_nail_sandbox import namespaces
at, refusals = json.loads(sys.argv[1])
done = []
def put(path, text):
    done.append([path, text])
    refusal = refusals.pop(0)
    if refusal:
        raise {"later": BlockingIOError, "never": FileNotFoundError}[refusal]()
namespaces.put = put
namespaces.os.nice = lambda by: done.append(["nice", by])
step = namespaces.StepBack()
counts = []
for now in at:
    step.go_on(now)
    counts.append(len(done))
print(json.dumps([counts, done]))
`;
  const said = execFileSync("/usr/bin/python3", ["-c", script, JSON.stringify([at, refusals])], {
    env: { PYTHONPATH: join(import.meta.dirname, "../../runners/sandbox"), PYTHONDONTWRITEBYTECODE: "1" },
    encoding: "utf8",
  });
  return JSON.parse(said);
}
const place = ["/proc/self/autogroup", "10"];

test("a sandbox that may not step back yet asks again a tenth of a second later, without waiting, until it may", () => {
  const at = [1, 1.02, 1.05, 1.12, 1.14, 1.25, 1.5, 9];
  expect(asked(at, ["later", "later", ""])).toEqual([
    [1, 1, 1, 2, 2, 3, 3, 3],
    [place, place, place],
  ]);
  // Where the system has no such place, its processes give way each by itself, once.
  expect(asked([1, 2], ["never"])).toEqual([
    [2, 2],
    [place, ["nice", 10]],
  ]);
});

const hasPlaces = existsSync("/proc/self/autogroup");
test.runIf(hasPlaces)(
  "of several sandboxes that start at once each gives way while its first program runs",
  async () => {
    const toolchains = createToolchains();
    try {
      const python = toolchains.find("python");
      if (!python) throw new Error("no Python");
      const text = 'import time\ntime.sleep(0.9)\nprint(open("/proc/self/autogroup").read().split()[-1])\n';
      const limits = limitsSchema.parse({});
      const all = await Promise.all(
        [1, 2, 3].map(() => python.run({ files: [{ name: "deck.py", bytes: Buffer.from(text) }], input: "", limits })),
      );
      expect(all.map(({ console }) => consoleText(console, ["out"]))).toEqual(["10\n", "10\n", "10\n"]);
    } finally {
      await toolchains.close();
    }
  },
);
