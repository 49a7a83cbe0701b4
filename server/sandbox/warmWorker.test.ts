import { existsSync, readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { setTimeout } from "node:timers/promises";
import { expect, test } from "vitest";
import { limitsSchema } from "../../core/outcome/outcome.ts";
import { productFolder } from "../productFolder.ts";
import { startServant } from "./warmWorker.ts";

const groups = ["/sys/fs/cgroup/memory", "/sys/fs/cgroup"].find((folder) => existsSync(folder)) ?? "";
const specification = {
  command: ["/usr/bin/python3", "-B", "-s", "-m", "bent_nail_sandbox.host"],
  runners: [
    { folder: join(productFolder, "runners/sandbox/bent_nail_sandbox"), inside: "/runner/bent_nail_sandbox" },
    { folder: join(productFolder, "runners/protocol"), inside: "/runner" },
  ],
  environment: { PATH: "/usr/bin:/bin", PYTHONPATH: "/runner" },
};

const groupsHere = () => readdirSync(groups).filter((name) => name.startsWith(`bent-nail-${process.pid}-`));

/** Process numbers in the control groups of this process, but for those of sandboxes that other files of tests share. */
const inside = (others: readonly string[]) =>
  groupsHere()
    .filter((name) => !others.includes(name))
    .flatMap((name) => readFileSync(join(groups, name, "cgroup.procs"), "utf8").split("\n"))
    .filter((id) => id !== "");

test("a sandbox that is stopped at any moment of its start leaves no process behind", async () => {
  const others = groupsHere();
  const started = Array.from({ length: 24 }, (_, number) => {
    const servant = startServant(specification, limitsSchema.parse({}));
    return setTimeout(4 * number).then(() => {
      servant.stop();
      return servant.gone;
    });
  });
  await Promise.all(started);
  expect(inside(others)).toEqual([]);
});
