import { expect, test } from "vitest";
import { c } from "../languages/c/c.ts";
import { java } from "../languages/java/java.ts";
import { python } from "../languages/python/python.ts";
import type { Outcome } from "../outcome/outcome.ts";
import { judge } from "../verdict/judge.ts";

const leadsFor = (program: string, pastedText: string) =>
  judge({ language: python, mainName: "a.py", files: { "a.py": program }, pastedText }).leads;

test("for grammar: the reported line, then upwards past blanks and comments", () => {
  const program = "low = 2\nhigh = low +* 3\n\n# a remark\n\nprint(low)\n";
  const leads = leadsFor(program, '  File "a.py", line 6\n    print(low)\n    ^\nSyntaxError: invalid syntax\n');
  expect(leads.map((lead) => lead.line)).toEqual([6, 2, 1]);
});

test("a bracket that is not closed, signs in texts and comments left aside", () => {
  const program = 'print("(")  # (\nloads = [3,\n  4\nprint(loads)\n';
  const leads = leadsFor(
    program,
    "  File \"a.py\", line 2\n    loads = [3,\n            ^\nSyntaxError: '[' was never closed\n",
  );
  expect(leads[0]).toMatchObject({ line: 2 });
  expect(leads[0]?.why).toContain("opened here is not closed");
  expect(leads.some((lead) => lead.line === 3 && lead.why.includes("may belong here"))).toBe(true);
});

test("an unclosed list leads to the last line that still continues it, which is below the reported one", () => {
  const message = "  File \"a.py\", line 1\n    loads = [3,\n            ^\nSyntaxError: '[' was never closed\n";
  const continuing = (program: string) =>
    leadsFor(program, message)
      .filter((lead) => lead.why.includes("may belong here"))
      .map((lead) => [lead.line, lead.why.includes("does not hold here")]);
  expect(continuing("loads = [3,\n  4,\n  9\nprint(loads)\n")).toEqual([[3, true]]);
  expect(continuing("loads = [3,\n  4,\n  9,\nprint(loads)\n")).toEqual([[3, true]]);
  expect(continuing("loads = [\n  3,\n\n  # a remark\n  9\ntotal = 4\n")).toEqual([[5, true]]);
  expect(continuing("loads = [3, 4\nprint(loads)\n")).toEqual([]);
});

test("what is indented otherwise than in the working version is said with its blanks, not quoted alike", () => {
  const working = "for load in loads:\n    total = total + load\nprint(total)\n";
  const { leads } = judge({
    language: python,
    mainName: "a.py",
    files: { "a.py": working.replace("print(total)", "\tprint(total)") },
    working,
    pastedText:
      '  File "a.py", line 3\n    print(total)\nTabError: inconsistent use of tabs and spaces in indentation\n',
  });
  expect(leads[0]).toMatchObject({ line: 3 });
  expect(leads[0]?.why).toContain("this line began with no blanks, here with 1 tab");
});

test("for a stop: where the names of the failing line got their values, and who called", () => {
  const program = "def share(load, cars):\n    return load / cars\n\ncars = 0\nload = 30\nprint(share(load, cars))\n";
  const leads = leadsFor(
    program,
    'Traceback (most recent call last):\n  File "a.py", line 6, in <module>\n    print(share(load, cars))\n  File "a.py", line 2, in share\n    return load / cars\nZeroDivisionError: division by zero\n',
  );
  expect(leads[0]?.line).toBe(2);
  expect(leads.find((lead) => lead.line === 6)?.why).toContain("called from here");
});

test("a name that looks like a known one leads to where that one is defined", () => {
  const leads = leadsFor(
    "lorry = 12\nprint(lory)\n",
    "Traceback (most recent call last):\n  File \"a.py\", line 2, in <module>\n    print(lory)\nNameError: name 'lory' is not defined\n",
  );
  expect(leads.find((lead) => lead.line === 1)?.why).toContain("“lory” looks like it");
});

test("the one line that the last working version did not have is the first suspect", () => {
  const working = "loads = [4, 9]\ntotal = sum(loads)\nprint(total)\n";
  const program = "loads = [4, 9]\ntotal = sum(load)\nprint(total)\n";
  const { leads } = judge({
    language: python,
    mainName: "a.py",
    files: { "a.py": program },
    working,
    pastedText:
      'Traceback (most recent call last):\n  File "a.py", line 3, in <module>\n    print(total)\nValueError: no\n',
  });
  expect(leads[0]).toMatchObject({
    line: 2,
    why: expect.stringContaining("In the last working version this line was “total = sum(loads)”."),
  });
});

test("a header that ends otherwise than its siblings", () => {
  const program = "if a:\n    x\nif b:\n    y\nif c\n    z\n";
  const leads = leadsFor(program, '  File "a.py", line 6\n    z\nIndentationError: unexpected indent\n');
  expect(leads.find((lead) => lead.line === 5)?.why).toContain(
    "Other lines that begin with “if” end in “:” (line 1: “if a:”, line 3)",
  );
});

test("of a fault of indentation: the named line, the one above with its depth, the header", () => {
  const program = "for load in loads:\n    first\n   second\n    third\n";
  const leads = leadsFor(
    program,
    '  File "a.py", line 3\n    second\n          ^\nIndentationError: unindent does not match any outer indentation level\n',
  );
  expect(leads.find((lead) => lead.line === 2)?.why).toContain("stands 4 blanks in, the named line 3 blanks");
  expect(leads.find((lead) => lead.line === 1)?.why).toContain("heads the block");
});

test("the sign before the arrow, on the line above if the arrow is at a line's start", () => {
  const leads = leadsFor(
    "total = (4 +\n\nprint 9\n",
    '  File "a.py", line 3\n    print 9\n    ^\nSyntaxError: invalid syntax\n',
  );
  expect(leads.find((lead) => lead.line === 1)?.why).toContain("what comes before it is “+”");
});

test("lines of a fragment keep the numbers of the message, and what lies before it is left out", () => {
  const message =
    "Traceback (most recent call last):\n  File \"a.py\", line 37, in <module>\n    print(lory)\nNameError: name 'lory' is not defined\n";
  const fragment = judge({
    language: python,
    mainName: "a.py",
    files: { "a.py": "lorry = 12\nprint(lory)\n" },
    firstLine: 36,
    pastedText: message,
  });
  expect(fragment).toMatchObject({ class: "runtime", reportedLine: 2 });
  expect(
    judge({ language: python, mainName: "a.py", files: { "a.py": "x\n" }, firstLine: 40, pastedText: message })
      .reportedLine,
  ).toBeNull();
});

const stopped: Outcome = {
  ...{ started: true, finished: false, stoppedBy: "fault", exit: { code: 1, signal: 0 }, diagnostics: [] },
  ...{ console: [], effects: [], inputRanOut: false, milliseconds: 3, translator: "" },
};

/** Leads for a program that a debugger found killed on a line. */
function leadsForKilled(program: string, line: number) {
  const outcome: Outcome = {
    ...stopped,
    exit: { code: 0, signal: 11 },
    found: { frames: [{ name: "main", file: "main.c", line, own: true }], values: [], unprinted: "" },
  };
  return judge({ language: c, mainName: "main.c", files: { "main.c": program }, outcome }).leads;
}

test("killed where a pointer is used that no line gives a place: the line that declares it", () => {
  const program = (first: string) =>
    `#include <string.h>\nchar *longest;\nint main(void)\n{\n    char title[30] = "Tern";\n${first}    strcpy(longest, title);\n    return 0;\n}\n`;
  const [lead] = leadsForKilled(program(""), 6);
  expect(lead).toMatchObject({ line: 2 });
  expect(lead?.why).toContain("no line ever gives it a place to point to");
  const others = leadsForKilled(program("    longest = title;\n"), 7);
  expect(others.map(({ why }) => why).join()).not.toContain("no line ever gives");
});

test("a value that is missing where it was asked for leads to that line, and one that was handed on to where it was made", () => {
  const program = (asked: string) =>
    `import java.util.*;\npublic class Main {\n  public static void main(String[] args) {\n    HashMap<String, Integer> seats = new HashMap<>();\n    seats.put("Skua", 40);\n    Integer free = seats.get("Gull");\n    int left = ${asked};\n    System.out.println(left);\n  }\n}\n`;
  const first = (text: string, message: string) => {
    const error = { severity: "error", errorName: "NullPointerException", stage: "run", primary: true } as const;
    const outcome: Outcome = { ...stopped, diagnostics: [{ ...error, message, line: 7 }] };
    return judge({ language: java, mainName: "Main.java", files: { "Main.java": text }, outcome }).leads[0]?.line;
  };
  const told = (what: string) => `Cannot invoke "java.lang.Integer.intValue()" because ${what} is null`;
  expect(first(program('seats.get("Gull")'), told('the return value of "java.util.HashMap.get(Object)"'))).toBe(7);
  expect(first(program("free"), told('"<local2>"'))).toBe(6);
});
