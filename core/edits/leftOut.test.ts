import { expect, test } from "vitest";
import { neutralOf } from "../exercises/planting/neutral/neutralPrograms.ts";
import { findLanguage } from "../languages/languages.ts";
import { bestsLeft } from "./bests.ts";
import { editContext } from "./context.ts";
import { proposeEdits } from "./families.ts";
import { missingStarts } from "./gathered.ts";
import { givesOnly } from "./givesOnly.ts";
import { countsNeverMoved, listsNeverFilled } from "./neverMoved.ts";
import { changedAddresses, givenAsAddress } from "./pointers.ts";
import { putInOnePlace } from "./prepared.ts";
import { elementsForPlaces } from "./usage.ts";

function contextOf(language: string, text: string) {
  const found = findLanguage(language);
  const context = found && editContext(found, text);
  if (!context) throw new Error(`no trees for ${language}`);
  return context;
}
const left = (language: string, text: string) =>
  bestsLeft(contextOf(language, text)).map(({ name, value }) => `${name} = ${value}`);
/** What families put in the place of what, without its blanks. */
const proposed = (language: string, text: string, family: string) =>
  proposeEdits(contextOf(language, text), "mend")
    .filter((edit) => edit.family === family)
    .map((edit) => edit.text.trim());

test("what is compared with and never moves is to be kept, and what begins beside it", () => {
  const best = "best = 0\nwhere = -1\nfor i in range(9):\n    if loads[i] > best:\n";
  expect(left("python", `${best}        where = i\n`)).toEqual(["best = loads[i]"]);
  expect(left("python", `${best}        best = loads[i]\nprint(best, where)\n`)).toEqual(["where = i"]);
  expect(left("python", `${best}        best = loads[i]\n        where = i\n`)).toEqual([]);
});

test("a limit that loads are compared with is no best one: nothing is kept there but a count or a list", () => {
  expect(
    left("python", "limit = 40\nover = 0\nfor load in loads:\n    if load > limit:\n        over.append(load)\n"),
  ).toEqual([]);
  // What another function does with a name of that letters is its own.
  const two =
    "def first(loads):\n    best = 0\n    for load in loads:\n        if load > best:\n            best = load\n    return best\n\ndef second(best):\n    best = 3\n    return best\n";
  expect(left("python", two)).toEqual([]);
});

test("in Octave a function gives back what its header names", () => {
  const text =
    "function [best, place] = top(km)\n  best = km(1);\n  place = 1;\n  for i = 2:numel(km)\n    if km(i) > best\n      best = km(i);\n    end\n  end\nend\n";
  expect(left("octave", text)).toEqual(["place = i"]);
});

test("a place that never goes on, where another function has a parameter of that name", () => {
  const text =
    "struct load { int pieces; };\nint find(struct load all[], int count) { return count; }\nvoid f(struct load all[]) {\n  int count = 0;\n  while (g()) {\n    all[count].pieces = 0;\n  }\n}\n";
  expect(putInOnePlace(contextOf("c", text)).map(({ name }) => name)).toEqual(["count"]);
  expect(putInOnePlace(contextOf("c", text.replace("= 0;\n  }", "= 0;\n    count++;\n  }")))).toEqual([]);
});

test("what a loop counts by moves on; what begins anew in each pass of another loop, and then stands, does not", () => {
  const sort =
    "var i, j: integer;\n  a: array[1..9] of integer;\nbegin\n  for i := 1 to 8 do\n    for j := 1 to 9 - i do\n      a[j] := a[j + 1];\nend.\n";
  expect(putInOnePlace(contextOf("pascal", sort))).toEqual([]);
  const rows = "for row in rows:\n    n = 0\n    for load in row:\n        kept[n] = load\n";
  expect(putInOnePlace(contextOf("python", rows)).map(({ name }) => name)).toEqual(["n"]);
});

test("what a function takes by its address, and what it changes in the place of what lies there", () => {
  const text =
    "void add(int *total, int load) { total = total + load; load = 2; }\nint main(void) { int t = 0; add(t, 4); return t; }\n";
  const context = contextOf("c", text);
  expect(
    givenAsAddress(context)
      .flat()
      .map((node) => context.sourceOf(node)),
  ).toEqual(["t"]);
  expect(changedAddresses(context).map(({ name }) => name)).toEqual(["total"]);
  expect(proposed("c", text, "pointed-at")).toContain("*total = *total + load");
  expect(proposed("c", text, "address-sign")).toContain("&");
});

test("a line is taken apart by signs that its quotes can hold", () => {
  expect(proposed("csharp", "class P { void F(string s) { s.Split(','); } }", "separator")).not.toContain("', '");
  expect(proposed("python", 'a = s.split(", ")\n', "separator")).toContain('" "');
  expect(proposed("python", 'a = s.join(",")\n', "separator")).toEqual([]);
});

test("what a function is said to give back is what it declares for that", () => {
  const text = "class M { static void first(Boat[] all) { for (Boat boat : all) { return boat; } return null; } }";
  expect(proposed("java", text, "result-type")).toContain("Boat");
  expect(proposed("java", text.replace("void", "Boat"), "result-type")).toEqual([]);
  expect(proposed("java", text.replaceAll(/return \w+;/g, "return;"), "result-type")).toEqual([]);
});

test.each(["python", "java", "c", "csharp", "pascal", "octave"])(
  "nothing is left out of what the best ones keep in the right programs that ship (%s)",
  (id) => {
    // Where a best one is meant to be a limit alone nothing else is kept beside it.
    for (const { program } of neutralOf(id)) expect(left(id, program), program).toEqual([]);
  },
);

test("a Pascal name is declared in the part of the program, or in that of the function that uses it", () => {
  const text =
    "program p;\nvar\n  n: integer;\n\nprocedure q(var m: integer);\nvar\n  k: integer;\nbegin\n  k := m;\nend;\n\nbegin\n  j := 1;\nend.\n";
  const lines = (program: string) => {
    const context = contextOf("pascal", program);
    return proposeEdits(context, "mend a refusal").flatMap((edit) =>
      edit.family === "declaration" && edit.text.includes("integer;") ? [context.lineOf(edit.from)] : [],
    );
  };
  expect(lines(text)).toEqual([3]);
  expect(lines(text.replace("k := m", "j := m").replace("j := 1", "n := 1"))).toEqual([7]);
});

test("whether there is something at all: asked of what is read, of what is followed, and not twice", () => {
  const text = 'class P { void F() { string a = R(); while (a != "") a = R(); } }';
  expect(proposed("csharp", text, "empty-test")).toContain("a != null &&");
  expect(proposed("csharp", text.replace("(a", "(a != null && a"), "empty-test")).toEqual([]);
  const list = "void f(Car *car) { while (car != NULL) car = car->next; }";
  expect(proposed("c", list, "empty-test")).toContain("car->next");
  expect(proposed("c", list.replace("car = car->next", "g(car)"), "empty-test")).toEqual([]);
});

test("the least for the greatest, and a place that begins anew", () => {
  expect(proposed("python", "best = 0\nfor load in loads:\n    best = min(best, load)\n", "counterpart")).toContain(
    "max",
  );
  const turns = "turn = 0\nfor day in days:\n    print(names[turn])\n    turn = turn + 1\n";
  expect(proposed("python", turns, "wrapped")).toEqual(["(turn + 1) % len(names)"]);
  expect(proposed("python", turns.replace("names[turn]", "turn"), "wrapped")).toEqual([]);
});

test("what is gathered begins anew before the loop that gathers it, in the part that ends, or where the function begins", () => {
  const starts = (language: string, text: string) =>
    missingStarts(contextOf(language, text)).map(({ name, start, where, statement }) => {
      const line = contextOf(language, text).lineOf(statement.from);
      return `${name} = ${start} ${where} ${line}`;
    });
  const rows = "total = 0\nfor row in rows:\n    for load in row:\n        total += load\n    print(total)\n";
  expect(starts("python", rows)).toContain("total = 0 before 3");
  expect(starts("python", rows.replace("    for load", "    total = 0\n    for load"))).toEqual([]);
  const words =
    'word = ""\nfor sign in text:\n    if sign == " ":\n        keep(word)\n    else:\n        word += sign\n';
  expect(starts("python", words)).toEqual(['word = "" behind 4']);
  expect(starts("python", words.replace("keep(word)", 'keep(word)\n        word = ""'))).toEqual([]);
  const counted =
    "procedure Count(s: string; var n: integer);\nvar k: integer;\nbegin\n  for k := 1 to 3 do\n    n := n + 1;\nend;\nbegin\nend.\n";
  expect(starts("pascal", counted)).toEqual(["n = 0 before 4"]);
});

test("a function that only works something out: it shows, reads and changes nothing that others see", () => {
  const gives = (language: string, body: string) => {
    const text =
      language === "python"
        ? `total = 0\ndef fare(age):\n    ${body}\n    return age * 2\n`
        : `class P {\n  static int total;\n  static int fare(int age) {\n    ${body}\n    return age * 2;\n  }\n}\n`;
    return givesOnly(contextOf(language, text), "fare");
  };
  expect(gives("python", "half = age / 2")).toBe(true);
  expect(gives("java", "int half = age / 2; half = half + 1;")).toBe(true);
  for (const [language, body] of [
    ["python", "print(age)"],
    ["python", "loads.append(age)"],
    ["python", "deck.load = age"],
    ["java", "total = total + age;"],
    ["java", "System.out.println(age);"],
    ["java", "loads[0] = age;"],
  ] as const)
    expect(gives(language, body), body).toBe(false);
});

test("a call that takes nothing of what a function gives is added to what is never added to", () => {
  const text =
    "class P {\n  static int Fare(int age) {\n    return age * 2;\n  }\n  static void Main() {\n    int sum = 0;\n    Fare(3);\n    System.Console.WriteLine(sum);\n  }\n}\n";
  expect(proposed("csharp", text, "result-thrown-away")).toContain("sum = sum +");
});

test("a function that nothing calls is called with what is declared as it wants it", () => {
  const text =
    "class P {\n  static void Sort(int[] values) {\n    values[0] = 1;\n  }\n  static void Main() {\n    int[] times = { 4, 9 };\n    string name = null;\n    System.Console.WriteLine(times[0]);\n  }\n}\n";
  const calls = proposed("csharp", text, "step-left-out");
  expect(calls).toContain("Sort(times);");
  expect(calls).not.toContain("Sort(name);");
});

test("what is read before a loop is read again at its end, also by a call that gives nothing back", () => {
  const pascal =
    "var code: string;\nbegin\n  readln(code);\n  while code <> 'STOP' do\n  begin\n    writeln(code);\n  end;\nend.\n";
  expect(proposed("pascal", pascal, "step-left-out").join()).toContain("readln(code)");
  expect(
    proposed("pascal", pascal.replace("writeln(code);", "writeln(code);\n    readln(code);"), "step-left-out").join(),
  ).not.toContain("readln(code)");
});

test("an element that is put where its value says, and a comparison that stands as an argument", () => {
  expect(proposed("octave", "decks(deck) = k;\n", "swapped")).toContain("k) = deck");
  expect(proposed("octave", "x = sum(loads(decks = d));\n", "equality-sign")).toEqual(["=="]);
  // Named arguments give a value, and are meant to.
  expect(proposed("python", 'print("Tern", end="")\n', "equality-sign")).toEqual([]);
});

test("a count that begins with 0 and never goes on; one that goes on, or is read into, stays as it is", () => {
  const counts = (language: string, text: string) =>
    countsNeverMoved(contextOf(language, text)).map(({ name }) => name);
  const late = "late = 0\nfor delay in delays:\n    if delay > 5:\n        print(delay)\nprint(late)\n";
  expect(counts("python", late)).toEqual(["late"]);
  expect(proposed("python", late, "step-left-out")).toContain("late += 1");
  expect(counts("python", late.replace("print(delay)", "late += 1"))).toEqual([]);
  const read =
    'int main(void) {\n  int n = 0;\n  scanf("%d", &n);\n  for (int i = 0; i < n; i++) g();\n  return n;\n}\n';
  expect(counts("c", read)).toEqual([]);
  expect(counts("c", read.replace("&n", "&m"))).toEqual(["n"]);
  const taken = "class M {\n  void f() {\n    int n = 0;\n    while (g() && n < 5) {\n      h(n);\n    }\n  }\n}\n";
  expect(counts("java", taken)).toEqual(["n"]);
});

test("a list into which nothing is ever put, by itself or by what it is handed to", () => {
  const lists = (text: string) => listsNeverFilled(contextOf("python", text)).map(({ name }) => name);
  const cars = "aboard = []\nfor car in cars:\n    print(car)\nprint(len(aboard))\n";
  expect(lists(cars)).toEqual(["aboard"]);
  expect(proposed("python", cars, "step-left-out")).toContain("aboard.append(car)");
  for (const filled of ["aboard.append(car)", "aboard += [car]", "aboard = aboard + [car]"])
    expect(lists(cars.replace("print(car)", filled)), filled).toEqual([]);
  const handed = (body: string) =>
    `def take(where):\n    ${body}\n\naboard = []\nfor car in cars:\n    take(aboard)\nprint(aboard)\n`;
  expect(lists(handed("where.append(3)"))).toEqual([]);
  expect(lists(handed("print(where)"))).toEqual(["aboard"]);
});

test("what a loop makes is put into the list behind it, and nothing where a loop goes over that list", () => {
  const text =
    "class P {\n  static void Main() {\n    var boats = new List<Boat>();\n    while (R()) {\n      var parts = S();\n      var b = new Boat();\n      b.Name = parts[0];\n    }\n    foreach (var b in boats) {\n      W(b.Name);\n    }\n  }\n}\n";
  const steps = proposeEdits(contextOf("csharp", text), "mend").filter((edit) => edit.text.includes("boats.Add("));
  const [best] = steps.toSorted((one, other) => other.odds - one.odds);
  expect(best?.text.trim()).toBe("boats.Add(b);");
  expect(text.slice(0, best?.from).split("\n").length).toBe(8);
  expect(steps.every((edit) => edit.from < text.indexOf("foreach"))).toBe(true);
});

test("the same element given to the best one and to a name beside it: that one is to keep its place", () => {
  const text =
    "best = loads[0]\nwhen = 0\nfor k in range(9):\n    if loads[k] > best:\n        best = loads[k]\n        when = loads[k]\n";
  const places = (of: string) => elementsForPlaces(contextOf("python", of)).map(({ target, place }) => [target, place]);
  expect(places(text)).toEqual([["when", "k"]]);
  expect(places(text.replace("when = loads[k]", "when = k"))).toEqual([]);
});

test("a name is declared in each function that uses it, whatever another one calls so", () => {
  const text = (declared: string) =>
    `int calm(int days)\n{\n  return days;\n}\nint main(void)\n{\n  ${declared}scanf("%d", &days);\n  return calm(days);\n}\n`;
  const declarations = (of: string) =>
    proposeEdits(contextOf("c", of), "mend a refusal").filter(
      (edit) => edit.family === "declaration" && edit.text.includes("int days;"),
    );
  expect(declarations(text("")).length).toBeGreaterThan(0);
  expect(declarations(text("int days; "))).toEqual([]);
});

test("a program that only says what its parts do is begun at its end", () => {
  const text = 'def main():\n    print("Tern")\n';
  expect(proposed("python", text, "step-left-out")).toEqual(["main()"]);
  expect(proposed("python", `${text}\n\nmain()\n`, "step-left-out")).toEqual([]);
});

test("what is worked out of a value before it is compared, printed or kept", () => {
  const longest = 'best = ""\nfor word in words:\n    if word > len(best):\n        best = word\n';
  expect(proposed("python", longest, "call-left-out")).toContain("len(word)");
  // What is a number has no length where types are declared.
  const numbers = "class Main { boolean f(int a, String s) { return a > s.length(); } }";
  expect(proposed("java", numbers, "call-left-out")).not.toContain("a.length()");
  expect(proposed("java", numbers.replace("int a", "String a"), "call-left-out")).toContain("a.length()");
  expect(proposed("c", "int f(int a, int b) { return (a - b) < 3; }", "call-left-out")).toContain("abs(a - b)");
  expect(proposed("csharp", 'class P { bool F(string s) { return s == "end"; } }', "call-left-out")).toEqual([
    "s.ToLower()",
    "s.ToUpper()",
    "s.Trim()",
  ]);
  // A function of the program that nothing calls, around what it may be meant for, and never inside itself.
  const own = 'def fare(age):\n    return age * 2\n\n\nage = 7\nprint("Fare", age)\n';
  expect(proposed("python", own, "call-left-out")).toEqual(["fare(age)"]);
});

test("one of two that belong together for the other, and nothing of the program's own by that name", () => {
  expect(proposed("python", "first = queue.pop()\n", "counterpart")).toEqual(["pop(0)"]);
  expect(proposed("python", "def max(a):\n    return a\n\n\nprint(max(3))\n", "counterpart")).toEqual([]);
  expect(proposed("pascal", "begin\n  inc(n);\n  writeln(low(a));\nend.\n", "counterpart")).toEqual(["dec", "high"]);
});

test("a factor is left out of the first value of a sum", () => {
  expect(proposed("python", "minutes = h + m\n", "factor-left-out")).toEqual(["* 10", "* 60", "* 100"]);
  const digits = "value = 0\nfor sign in text:\n    value = value + int(sign)\n";
  expect(proposed("python", digits, "factor-left-out")[0]).toBe("* 10");
  expect(proposed("python", "text = 'a' + name\n", "factor-left-out")).toEqual([]);
});

test("an element that decisions ask for and nothing sets", () => {
  const java = (rest: string) =>
    `class Main { static boolean[][] seats = new boolean[4][5];\n  static boolean take(int row, int seat) {\n    if (seats[row][seat]) {\n      return false;\n    }\n${rest}    return true;\n  }\n}\n`;
  expect(proposed("java", java(""), "step-left-out")).toContain("seats[row][seat] = true;");
  expect(proposed("java", java("    seats[row][seat] = true;\n"), "step-left-out")).toEqual([]);
  const python = (rest: string) =>
    `taken = [False] * 5\nfor seat in wanted:\n    if not taken[seat]:\n        print(seat)\n${rest}`;
  expect(proposed("python", python(""), "step-left-out")).toContain("taken[seat] = True");
  expect(proposed("python", python("        taken[seat] = True\n"), "step-left-out")).toEqual([]);
});

test("a list that another function knows by the same name is its own: it is empty all the same", () => {
  const text =
    "class P {\n  static bool Free(List<int> taken, int place) {\n    return !taken.Contains(place);\n  }\n  static void Main() {\n    List<int> taken = new List<int>();\n    foreach (int place in wanted) {\n      if (Free(taken, place)) {\n        Say(place);\n      }\n    }\n  }\n}\n";
  expect(proposed("csharp", text, "step-left-out")).toContain("taken.Add(place);");
  expect(proposed("csharp", text.replace("Say(place)", "taken.Add(place)"), "step-left-out")).toEqual([]);
});

test("a function of an object that is named and not called is handed what is called the same", () => {
  const text =
    "class Ferry:\n    def book(self, people):\n        return people < 3\n\n\nferry = Ferry()\npeople = 4\nif not ferry.book:\n    print(people)\n";
  expect(proposed("python", text, "call-brackets")).toContain("(people)");
});

test("a loop in which nothing moves: what it waits for goes on, and no constant does", () => {
  const text =
    "program p;\nconst places = 5;\nvar i: integer;\nbegin\n  i := 1;\n  while i <= places do\n  begin\n    writeln(i);\n  end;\nend.\n";
  const steps = proposed("pascal", text, "loop-change");
  expect(steps).toContain("i := i + 1;");
  expect(steps.join()).not.toContain("places");
});

test("an element whose neighbours are converted is likely to need the same", () => {
  const context = contextOf("python", 'x = {"a": parts[0], "b": int(parts[1])}\n');
  const odds = (text: string) => proposeEdits(context, "mend").find((edit) => edit.text === text)?.odds ?? 0;
  expect(odds("int(parts[0])")).toBeGreaterThan(odds("float(parts[0])") * 3);
});

test("a function that nothing calls is handed what is declared like its parameter, and before it is used", () => {
  const text =
    'static int day_of(const char *name)\n{\n    return name[0];\n}\n\nstatic void lower(char *text)\n{\n    text[0] = 97;\n}\n\nint main(void)\n{\n    char name[16];\n    while (scanf("%15s", name) == 1) {\n        int day = day_of(name);\n        show(day);\n    }\n    return 0;\n}\n';
  const context = contextOf("c", text);
  const calls = proposeEdits(context, "mend").filter((edit) => edit.text.trim() === "lower(name);");
  const likeliest = [...calls].sort((one, other) => other.odds - one.odds)[0];
  expect(context.lineOf(likeliest?.from ?? 0)).toBe(15);
});

test("what is counted goes on by one, and hours and minutes go together by sixty", () => {
  const counts = "slow = 0\nfor i in range(3):\n    if late[i]:\n        slow = slow + i\n";
  expect(proposed("python", counts, "other-name")).toContain("1");
  expect(proposed("python", counts.replace("slow + i", "slow * i"), "other-name")).not.toContain("1");
  const odds = (text: string) =>
    proposeEdits(contextOf("python", text), "mend").find((edit) => edit.text === " * 60")?.odds ?? 0;
  expect(odds('h, m = line.split(":")\nall = h + m\n')).toBeGreaterThan(odds('h, m = line.split(";")\nall = h + m\n'));
});
