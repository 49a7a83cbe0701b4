import { existsSync, readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { findLanguage } from "../../core/languages/languages.ts";
import { consoleText, limitsSchema, type Outcome } from "../../core/outcome/outcome.ts";
import { isLongRun, todaysShare } from "../../tools/share.ts";
import { productFolder } from "../productFolder.ts";
import { createToolchains, type Toolchains } from "../toolchains/toolchains.ts";

/** The control groups of sandboxes of this process. */
const groups = () =>
  ["memory", "pids", ""].flatMap((controller) =>
    existsSync(join("/sys/fs/cgroup", controller))
      ? readdirSync(join("/sys/fs/cgroup", controller)).filter((name) => name.startsWith(`bent-nail-${process.pid}-`))
      : [],
  );

let toolchains: Toolchains;
/** Those that other files of tests share. */
let groupsBefore: string[];
beforeAll(() => {
  groupsBefore = groups();
  toolchains = createToolchains();
});
afterAll(async () => {
  await toolchains.close();
  // Nothing is left of the workers that served all this.
  expect(groups().filter((name) => !groupsBefore.includes(name))).toEqual([]);
});

const limits = limitsSchema.parse({});
/** A program that fills memory, or ends by itself, does so however slow the machine is beside other work: time does not come first. */
const patient = limitsSchema.parse({ wallSeconds: 60, cpuSeconds: 30 });
const folder = join(productFolder, "server/sandbox/hostile");
const printed = (outcome: Outcome) => consoleText(outcome.console, ["out"]);

/** Programs that go on until they are stopped, or until they have filled what they may fill. */
const endless =
  /bomb|flood|dialogs|boxes_for_ever|without_end|ask_for_ever|million|wait_for_ever|stop_itself|ignore_signals|hang_at_exit|hold_everything|close_streams|thread_that_stays|late_child|become_another|leave_child/;

/** What is typed into those that look at their input. */
const typed = "one\ntwo\nsix\nten\n";

function request(language: string, name: string) {
  const extension = findLanguage(language)?.extension ?? "";
  return {
    files: [{ name: `program${extension}`, bytes: readFileSync(join(folder, language, `${name}${extension}`)) }],
    input: name === "input_by_other_ways" ? typed : name === "form_without_handlers" ? "press btnWork\n" : "",
    limits: endless.test(name) ? limits : patient,
  };
}

function toolchain(language: string) {
  const found = toolchains.find(language);
  if (!found) throw new Error(`no toolchain for ${language}`);
  return found;
}

/** An innocent run of the same language finds nothing of the one before. */
async function nextRunIsRight(language: string): Promise<void> {
  const outcome = await toolchain(language).run(request(language, "look_for_leftovers"));
  expect([printed(outcome), outcome.stoppedBy]).toEqual([expect.stringMatching(/^found (0|\[\])/), "none"]);
}

const stopped =
  (...by: Outcome["stoppedBy"][]) =>
  (outcome: Outcome) =>
    expect(by).toContain(outcome.stoppedBy);
const prints = (text: string) => (outcome: Outcome) => expect(printed(outcome)).toBe(text);

/**
 * What each program must come to. Those that are not named here only have to end within their limits and leave the next
 * run right.
 */
const ends: Record<string, Record<string, (outcome: Outcome) => void>> = {
  python: {
    signal_the_first: prints("still here 1\n"),
    nested_folders: prints("left\n"),
    odd_names_left: prints("left\n"),
    forbidden_calls: prints("done\n"),
    shared_memory: prints("anonymous refused\nmemory file refused\nsystem v refused\nzero refused\nbounded True\n"),
    take_terminals: prints("few True\n"),
    input_by_other_ways: prints("first one\ncopy b'two\\n'\nchild b'six\\n'\nname ten\nend\n"),
    hide_the_crash: (outcome) => {
      expect([outcome.stoppedBy, printed(outcome)]).toEqual(["fault", "before\n"]);
      expect(outcome.diagnostics.find((diagnostic) => diagnostic.primary)).toMatchObject({
        errorName: "KeyError",
        line: 20,
      });
    },
    become_another: (outcome) =>
      expect([outcome.stoppedBy, printed(outcome)]).toEqual(["time", "first\nsecond\nlate\n"]),
    fill_buffers: prints("bounded True\n"),
    wait_for_ever: (outcome) => expect([outcome.stoppedBy, printed(outcome)]).toEqual(["time", "waits\n"]),
  },
  c: {
    signal_the_first: prints("still here 1\n"),
    nested_folders: (outcome) => expect([outcome.stoppedBy, outcome.exit.signal]).toEqual(["fault", 11]),
    odd_names_left: prints("left\n"),
    forbidden_calls: prints("done\n"),
    shared_memory: prints("anonymous 0\nzero 0\nsystem v 0 0\nown 1\n"),
    bad_debug_information: (outcome) => expect([outcome.stoppedBy, printed(outcome)]).toEqual(["none", "Deck 4\n"]),
    hidden_memory: (outcome) => expect([outcome.stoppedBy, printed(outcome)]).toEqual(["memory", "begins\n"]),
    take_terminals: prints("few 1\n"),
    input_by_other_ways: prints("first one\ncopy two\nname six\nnumber ten\nend\n"),
    endless_recursion: (outcome) =>
      expect([outcome.stoppedBy, outcome.exit.signal, printed(outcome)]).toEqual(["fault", 11, "begins\n"]),
    become_another: (outcome) => expect([outcome.exit.code, printed(outcome)]).toEqual([3, "first\nsecond\n"]),
    fork_bomb: stopped("time", "memory"),
    many_small_children: (outcome) => expect([outcome.stoppedBy, printed(outcome)]).toEqual(["memory", ""]),
    fill_memory: (outcome) => expect([outcome.stoppedBy, printed(outcome)]).toEqual(["memory", "begins\n"]),
    flood_output: (outcome) =>
      expect([outcome.stoppedBy, printed(outcome).length]).toEqual(["output", limits.outputBytes]),
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
  "basic-macro": {
    dialogs_for_ever: stopped("output", "time"),
    flood_output: stopped("output", "time"),
    ask_for_ever: (outcome) => expect([outcome.stoppedBy, outcome.inputRanOut]).toEqual(["time", true]),
    million_cells: (outcome) => expect(printed(outcome)).toMatch(/^begins\n/),
    fill_memory: (outcome) => expect([outcome.stoppedBy, printed(outcome)]).toEqual(["memory", "begins\n"]),
    endless_recursion: (outcome) => expect(printed(outcome)).toBe("begins\n"),
    shell: prints("still here\n"),
    // The office itself may not come through what it is asked for here.
    other_documents: (outcome) => expect(printed(outcome)).toMatch(/^passwords /),
    our_own_names: (outcome) => expect(outcome.started).toBe(true),
    close_the_office: (outcome) => expect(printed(outcome)).toMatch(/^before\n/),
    look_for_leftovers: prints("found 0\n"),
  },
  java: {
    signal_the_first: prints("still here 1\n"),
    nested_folders: prints("left\n"),
    odd_names_left: prints("left\n"),
    forbidden_calls: prints("[] -1 -1\n"),
    mapped_files: prints("bounded true\n"),
    direct_memory: (outcome) => expect([outcome.stoppedBy, printed(outcome)]).toEqual(["memory", "begins\n"]),
    input_by_other_ways: prints("name one\nagain two\nend six\n"),
    endless_recursion: (outcome) => expect([outcome.stoppedBy, printed(outcome)]).toEqual(["fault", "begins\n"]),
    late_child: (outcome) => expect([outcome.exit.code, printed(outcome)]).toEqual([5, "first\n"]),
    hold_everything: (outcome) => expect([outcome.stoppedBy, printed(outcome)]).toEqual(["time", "begins\n"]),
    fork_bomb: stopped("time", "memory"),
    thread_bomb: stopped("time", "memory"),
    fill_memory: (outcome) => expect([outcome.stoppedBy, printed(outcome)]).toEqual(["memory", "begins\n"]),
    fill_native_memory: (outcome) => expect([outcome.stoppedBy, printed(outcome)]).toEqual(["memory", "begins\n"]),
    flood_output: stopped("output", "time"),
    write_files: prints("stopped in bounds: true\n"),
    open_sockets: prints("refused\nrefused\nrefused\n"),
    read_host: prints("done\n"),
    exit_in_odd_places: (outcome) =>
      expect([printed(outcome), outcome.exit.code, outcome.stoppedBy]).toEqual(["finally\nhook\n", 7, "none"]),
    hang_at_exit: (outcome) => expect([outcome.stoppedBy, printed(outcome)]).toEqual(["time", "bye\n"]),
  },
  sketch: {
    million_shapes: (outcome) => {
      expect(outcome.drawing?.frames.at(-1)?.left ?? outcome.stoppedBy).toSatisfy(
        (left: unknown) => left === "time" || (typeof left === "number" && left > 900_000),
      );
      expect(JSON.stringify(outcome).length).toBeLessThan(600_000);
    },
    million_pens: (outcome) => expect(JSON.stringify(outcome).length).toBeLessThan(600_000),
    // The frames before the one that never ends are there.
    bomb_in_draw: (outcome) => expect([outcome.stoppedBy, outcome.drawing?.last]).toEqual(["time", 2]),
    flood_output: stopped("output", "time"),
    endless_recursion: (outcome) => expect([outcome.stoppedBy, printed(outcome)]).toEqual(["fault", "begins\n"]),
    fill_memory: (outcome) => expect([outcome.stoppedBy, printed(outcome)]).toEqual(["memory", "begins\n"]),
    our_own_records: (outcome) => {
      expect(printed(outcome)).toMatch(/^told\n/);
      expect(JSON.stringify(outcome.drawing ?? null)).not.toContain("script");
    },
    our_own_parts: (outcome) => expect(printed(outcome)).toMatch(/still here\n/),
    exit_in_odd_places: (outcome) =>
      expect([printed(outcome).startsWith("frame 1\nframe 2\n"), outcome.exit.code, outcome.drawing?.last]).toEqual([
        ...[true, 7, 1],
      ]),
    // What a thread draws beside the frames is written shape by shape: nothing of ours breaks, and only time ends it.
    thread_that_stays: (outcome) =>
      expect([outcome.stoppedBy, consoleText(outcome.console, ["err"])]).toEqual(["time", ""]),
    odd_numbers: (outcome) => expect([outcome.stoppedBy, outcome.drawing?.frames.length]).toEqual(["none", 1]),
  },
  csharp: {
    signal_the_first: prints("still here 1\n"),
    nested_folders: prints("left\n"),
    odd_names_left: prints("left\n"),
    forbidden_calls: prints("done\n"),
    shared_memory: prints("anonymous False\nsystem v False\n"),
    unmanaged_memory: (outcome) => {
      expect(["memory", "fault"]).toContain(outcome.stoppedBy);
      expect(printed(outcome)).toBe("begins\n");
    },
    take_terminals: prints("few True\n"),
    input_by_other_ways: prints("copy one\nname two\n"),
    endless_recursion: (outcome) => expect([outcome.stoppedBy, printed(outcome)]).toEqual(["fault", "begins\n"]),
    thread_that_stays: (outcome) => expect([outcome.stoppedBy, printed(outcome)]).toEqual(["time", "begins\n"]),
    fork_bomb: stopped("time", "memory"),
    fill_memory: (outcome) => expect([outcome.stoppedBy, printed(outcome)]).toEqual(["memory", "begins\n"]),
    flood_output: stopped("output", "time"),
    write_files: prints("stopped in bounds: True\n"),
    open_sockets: prints("refused\nrefused\n"),
    kill_parent: prints("still here\n"),
    read_host: prints("done\n"),
    exit_in_odd_places: (outcome) => expect([printed(outcome), outcome.exit.code]).toEqual(["caught\n", 7]),
  },
  "basic-forms": {
    endless_recursion: (outcome) => expect([outcome.stoppedBy, printed(outcome)]).toEqual(["fault", "begins\n"]),
    fill_memory: (outcome) => expect([outcome.stoppedBy, printed(outcome)]).toEqual(["memory", "begins\n"]),
    flood_output: stopped("output", "time"),
    boxes_for_ever: stopped("output", "time"),
    // What a form shows is told at its end: of one that never comes to it nothing is known but what it printed.
    press_without_end: (outcome) => expect([outcome.stoppedBy, printed(outcome)]).toEqual(["time", "begins\n"]),
    our_own_records: (outcome) => {
      expect(printed(outcome)).toBe("told\nform lblTide = told\n");
      expect(outcome.forms?.forms.map(({ name }) => name)).toEqual(["Form1"]);
    },
    million_items: (outcome) => {
      expect(outcome.stoppedBy).toBe("none");
      expect(JSON.stringify(outcome).length).toBeLessThan(60_000);
    },
    form_without_handlers: (outcome) =>
      expect([outcome.stoppedBy, outcome.forms?.unheard, printed(outcome)]).toEqual([
        ...["none", ["btnWork"], "form lblTide = \n"],
      ]),
    exit_in_odd_places: (outcome) => expect([printed(outcome), outcome.exit.code]).toEqual(["caught\n", 7]),
    // A change that changes the same thing again is a recursion without an end.
    close_itself: stopped("fault"),
  },
  pascal: {
    signal_the_first: prints("still here 1\n"),
    nested_folders: prints("left\n"),
    odd_names_left: prints("left\n"),
    forbidden_calls: prints("done\n"),
    shared_memory: prints("anonymous FALSE\nsystem v FALSE\n"),
    many_children: (outcome) => expect([outcome.stoppedBy, printed(outcome)]).toEqual(["memory", "begins\n"]),
    take_terminals: prints("few TRUE\n"),
    input_by_other_ways: prints("first one\ncopy two\nname six\n"),
    endless_recursion: (outcome) => expect([outcome.stoppedBy, printed(outcome)]).toEqual(["fault", "begins\n"]),
    become_another: (outcome) => expect([outcome.exit.code, printed(outcome)]).toEqual([3, "first\nsecond\n"]),
    fork_bomb: stopped("time", "memory"),
    fill_memory: stopped("memory", "fault"),
    flood_output: stopped("output", "time"),
    write_files: prints("stopped in bounds: TRUE\n"),
    kill_parent: prints("still here\n"),
  },
  octave: {
    signal_the_first: prints("still here 1\n"),
    nested_folders: prints("left\n"),
    odd_names_left: prints("left\n"),
    forbidden_calls: prints("[] -1\n"),
    shared_memory: prints("refused 1\n"),
    children_with_memory: (outcome) => expect([outcome.stoppedBy, printed(outcome)]).toEqual(["memory", "begins\n"]),
    take_terminals: prints("True\n"),
    input_by_other_ways: prints("name one\nagain two\n"),
    endless_recursion: (outcome) => expect([outcome.stoppedBy, printed(outcome)]).toEqual(["fault", "begins\n"]),
    late_child: (outcome) => expect([outcome.exit.code, printed(outcome)]).toEqual([5, "first\n"]),
    fork_bomb: stopped("time", "memory"),
    fill_memory: stopped("memory", "time", "fault"),
    flood_output: stopped("output", "time"),
    write_files: prints("stopped in bounds: 1\n"),
    kill_parent: prints("still here\n"),
    exit_in_odd_places: (outcome) => expect([printed(outcome), outcome.exit.code]).toEqual(["before\n", 7]),
  },
};

/**
 * What the sandbox alone stops, whatever runs in it: Python and C show it each time, and that the very next run is right after each of them; the
 * others in `npm run test:long`, and each time that the run after all of them is right. What a language's own machine makes different (memory, recursion, threads, shared memory) is
 * tried in two of the others each day; of those that go on until they are stopped, which take seconds each, a third of each language's.
 */
const ofTheSandbox =
  /^(?:signal_the_first|nested_folders|odd_names_left|take_terminals|write_files|flood_output|fork_bomb|open_sockets)$/;
const always = new Set(["python", "c"]);
const others = Object.keys(ends).filter((language) => !always.has(language));

/** The names of a language's programs. */
function programsIn(language: string): string[] {
  const extension = findLanguage(language)?.extension ?? "";
  const all = readdirSync(join(folder, language)).map((name) => name.slice(0, -extension.length));
  // The other programs in Python have a test of their own (hostile.test.ts).
  return language === "python" ? all.filter((name) => name in (ends.python ?? {})) : all;
}

test.each(Object.keys(ends))("%s: every rule has its program", (language) => {
  const own = programsIn(language);
  for (const name of Object.keys(ends[language] ?? {})) expect(own).toContain(name);
});

describe.each([...always, ...todaysShare(others, 4)])("%s", (language) => {
  const own = programsIn(language);
  const tried = own.filter((name) => isLongRun || always.has(language) || !ofTheSandbox.test(name));
  const stoppedToday = new Set(
    todaysShare(
      tried.filter((name) => endless.test(name)),
      3,
    ),
  );
  const names = tried.filter((name) => !endless.test(name) || stoppedToday.has(name));

  test.each(names)("%s ends within its limits", async (name) => {
    const outcome = await toolchain(language).run(request(language, name));
    expect(["refused", "broken", "not taken"], consoleText(outcome.console, ["err"])).not.toContain(outcome.stoppedBy);
    ends[language]?.[name]?.(outcome);
    if (isLongRun || always.has(language)) await nextRunIsRight(language);
  });

  test("after all of them the next run is right", () => nextRunIsRight(language));
});

const recorded: ReadonlyArray<readonly [language: string, name: string]> = [
  ["c", "bad_debug_information"],
  ["c", "fill_memory"],
  ["c", "leave_child"],
  ["java", "scribble_over_recording"],
  ["java", "fill_memory"],
  ["csharp", "flood_output"],
];
const recordedLong: typeof recorded = [
  ["c", "fork_bomb"],
  ["c", "flood_output"],
  ["pascal", "fork_bomb"],
  ["octave", "flood_output"],
];

test.each([...todaysShare(recorded, 2), ...(isLongRun ? recordedLong : [])])(
  "recording of %s %s breaks nothing",
  async (language, name) => {
    const trace = await toolchain(language).trace(request(language, name));
    expect(trace.outcome.started).toBe(true);
    await nextRunIsRight(language);
  },
);
