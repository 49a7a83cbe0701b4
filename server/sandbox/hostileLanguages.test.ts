import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { findLanguage } from "../../core/languages/languages.ts";
import { consoleText, limitsSchema, type Outcome } from "../../core/outcome/outcome.ts";
import { productFolder } from "../productFolder.ts";
import { createToolchains, type Toolchains } from "../toolchains/toolchains.ts";

let toolchains: Toolchains;
beforeAll(() => {
  toolchains = createToolchains();
});
afterAll(() => toolchains.close());

const limits = limitsSchema.parse({});
const folder = join(productFolder, "server/sandbox/hostile");
const printed = (outcome: Outcome) => consoleText(outcome.console, ["out"]);

function request(language: string, name: string) {
  const extension = findLanguage(language)?.extension ?? "";
  return { files: [{ name: `program${extension}`, bytes: readFileSync(join(folder, language, `${name}${extension}`)) }], input: "", limits };
}

function toolchain(language: string) {
  const found = toolchains.find(language);
  if (!found) throw new Error(`no toolchain for ${language}`);
  return found;
}

/** An innocent run of the same language finds nothing of the one before. */
async function nextRunIsRight(language: string): Promise<void> {
  const outcome = await toolchain(language).run(request(language, "look_for_leftovers"));
  expect([printed(outcome).startsWith("found 0"), outcome.stoppedBy], printed(outcome)).toEqual([true, "none"]);
}

const stopped =
  (...by: Outcome["stoppedBy"][]) =>
  (outcome: Outcome) =>
    expect(by).toContain(outcome.stoppedBy);
const prints = (text: string) => (outcome: Outcome) => expect(printed(outcome)).toBe(text);

/** What each program must come to. Those that are not named here only have to end within their limits and leave the next run right. */
const ends: Record<string, Record<string, (outcome: Outcome) => void>> = {
  c: {
    fork_bomb: stopped("time", "memory"),
    many_small_children: (outcome) => expect([outcome.stoppedBy, printed(outcome)]).toEqual(["memory", ""]),
    fill_memory: (outcome) => expect([outcome.stoppedBy, printed(outcome)]).toEqual(["memory", "begins\n"]),
    flood_output: (outcome) => expect([outcome.stoppedBy, printed(outcome).length]).toEqual(["output", limits.outputBytes]),
    flood_errors: stopped("output", "time"),
    write_files: prints("stopped in bounds: 1\n"),
    open_sockets: prints("refused\nrefused\nrefused\n"),
    read_host: prints("through a link 0, root 0\n"),
    kill_parent: prints("trace -1\nstill here\n"),
    leave_child: prints("left\n"),
    devices: prints("mknod -1\nmem -1\nmount -1\nnamespace -1\nring -1\nbpf -1\nroot -1 -1\nchroot -1\n"),
    stop_itself: (outcome) => expect([outcome.stoppedBy, printed(outcome)]).toEqual(["time", "before\n"]),
    ignore_signals: stopped("time"),
    close_streams: (outcome) => expect(printed(outcome)).toBe("before\n"),
    look_for_leftovers: prints("found 0 others 0\n"),
  },
  java: {
    fork_bomb: stopped("time", "memory"),
    thread_bomb: stopped("time", "memory"),
    fill_memory: (outcome) => expect([outcome.stoppedBy, printed(outcome)]).toEqual(["memory", "begins\n"]),
    fill_native_memory: (outcome) => expect([outcome.stoppedBy, printed(outcome)]).toEqual(["memory", "begins\n"]),
    flood_output: stopped("output", "time"),
    write_files: prints("stopped in bounds: true\n"),
    open_sockets: prints("refused\nrefused\nrefused\n"),
    read_host: prints("done\n"),
    exit_in_odd_places: (outcome) => expect([printed(outcome), outcome.exit.code, outcome.stoppedBy]).toEqual(["finally\nhook\n", 7, "none"]),
    hang_at_exit: (outcome) => expect([outcome.stoppedBy, printed(outcome)]).toEqual(["time", "bye\n"]),
  },
  csharp: {
    fork_bomb: stopped("time", "memory"),
    fill_memory: (outcome) => expect([outcome.stoppedBy, printed(outcome)]).toEqual(["memory", "begins\n"]),
    flood_output: stopped("output", "time"),
    write_files: prints("stopped in bounds: True\n"),
    open_sockets: prints("refused\nrefused\n"),
    kill_parent: prints("still here\n"),
    read_host: prints("done\n"),
    exit_in_odd_places: (outcome) => expect([printed(outcome), outcome.exit.code]).toEqual(["caught\n", 7]),
  },
  pascal: {
    fork_bomb: stopped("time", "memory"),
    fill_memory: stopped("memory", "fault"),
    flood_output: stopped("output", "time"),
    write_files: prints("stopped in bounds: TRUE\n"),
    kill_parent: prints("still here\n"),
  },
  octave: {
    fork_bomb: stopped("time", "memory"),
    fill_memory: stopped("memory", "time", "fault"),
    flood_output: stopped("output", "time"),
    write_files: prints("stopped in bounds: 1\n"),
    kill_parent: prints("still here\n"),
    exit_in_odd_places: (outcome) => expect([printed(outcome), outcome.exit.code]).toEqual(["before\n", 7]),
  },
};

describe.each(Object.keys(ends))("%s", (language) => {
  const extension = findLanguage(language)?.extension ?? "";
  const names = readdirSync(join(folder, language)).map((name) => name.slice(0, -extension.length));

  test("every rule has its program", () => {
    for (const name of Object.keys(ends[language] ?? {})) expect(names).toContain(name);
  });

  test.each(names)("%s ends within its limits, and the next run is right", async (name) => {
    const outcome = await toolchain(language).run(request(language, name));
    // Building has limits of its own; the run has these.
    expect(outcome.milliseconds).toBeLessThan(limits.wallSeconds * 1000 + 4000);
    expect(outcome.stoppedBy, consoleText(outcome.console, ["err"])).not.toBe("refused");
    ends[language]?.[name]?.(outcome);
    await nextRunIsRight(language);
  });
});

test.each([
  ["c", "fork_bomb"],
  ["c", "fill_memory"],
  ["c", "flood_output"],
  ["c", "leave_child"],
  ["java", "scribble_over_recording"],
  ["java", "fill_memory"],
  ["csharp", "flood_output"],
  ["pascal", "fork_bomb"],
  ["octave", "flood_output"],
])("recording of %s %s breaks nothing", async (language, name) => {
  const trace = await toolchain(language).trace(request(language, name));
  expect(trace.outcome.started).toBe(true);
  await nextRunIsRight(language);
});
