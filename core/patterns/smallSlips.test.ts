import { describe, expect, test } from "vitest";
import { familyOf } from "../edits/familyOf.ts";
import { findHunks } from "../fixes/hunks.ts";
import { findLanguage } from "../languages/languages.ts";
import { type Example, example } from "./example.ts";
import { patternOfFault } from "./patternOfFault.ts";

/** The family of small edits by which the faulty program of an example becomes the right one; null where none does. */
function mendedBy({ language, faulty, right }: Example): string | null {
  const found = findLanguage(language);
  if (!found) throw new Error(`no language ${language}`);
  return familyOf(found, faulty, right);
}

/** The kind of mistake that is named for an example by its mending alone. */
function kindOf({ language, faulty, right }: Example, message = ""): string | null {
  const hunks = findHunks(faulty, right);
  const told = { class: message === "" ? ("logic" as const) : ("runtime" as const), message, symptom: "" };
  const fault = { ...told, reportedLine: null, faultyLines: hunks.map(({ start }) => start), hunks };
  return patternOfFault({ language, program: faulty }, fault)?.id ?? null;
}

describe("a first value that nothing gives", () => {
  test.each([
    [
      "nothing yet, for what a decision asks for",
      `«worst = None
¦»for name in sorted(berths):
    depth = berths[name]
    if worst is None or depth < worst[1]:
        worst = (name, depth)
print("Least:", worst[0])
`,
    ],
    [
      "a text, before the loop that adds to it",
      `for row in range(2):
«    text = ""
¦»    for seat in range(3):
        text += str(seat) + " "
    print(text.strip())
`,
    ],
    [
      "a list, in the pass that puts it into another one",
      `rows = []
for row in range(2):
«    line = []
¦»    for seat in range(3):
        line.append(seat)
    rows.append(line)
print(rows)
`,
    ],
    [
      "a table, for what gets values by a key",
      `«depths = {}
¦»for line in range(3):
    name, depth = input().split()
    depths[name] = int(depth)
print(depths)
`,
    ],
    [
      "a mark, for what a loop waits for",
      `«found = False
¦»for load in [12, 7]:
    if load > 40:
        found = True
if not found:
    print("none")
`,
    ],
    [
      "a number, behind a loop that it is in alone",
      `for row in [[1, 2], [3]]:
«    cars = 0
¦»    for car in row:
        cars += car
    print(cars)
`,
    ],
  ])("%s", (_, text) => {
    const slip = example("python", text);
    expect(["first-value", "begun-anew"]).toContain(mendedBy(slip));
    expect(["read-before-set", "restart-missing"]).toContain(kindOf(slip));
  });

  test("is put in where the rest of the program stays as it is: no name of the library, of a parameter, of a handler", () => {
    const right = example(
      "python",
      `import math
def depth(tide, low=3):
    try:
        return math.sqrt(tide) + low
    except ValueError as problem:
        print(problem)
    with open("tides.txt") as tides:
        return len(tides.read())
print([each * 2 for each in range(3)], depth(9))
`,
    );
    expect(mendedBy({ ...right, faulty: right.right.replace("low=3", "low=3").concat("\n") })).toBeNull();
  });
});

describe("what has to hold is not asked", () => {
  test.each([
    [
      "csharp",
      "index-past-end",
      `class P
{
    void F(string[] parts)
    {
        bool captain = «parts.Length > 2 && ¦»parts[2] == "c";
    }
}
`,
    ],
    [
      "csharp",
      "empty-reference-used",
      `class P
{
    void F(Crew longest)
    {
        «if (longest != null)
            ¦»Console.WriteLine(longest.Name);
    }
}
`,
    ],
    [
      "java",
      "zero-divisor",
      `class Deck {
    void f(int trips, int load) {
        int mean;
        «if (trips != 0)
            ¦»mean = load / trips;
    }
}
`,
    ],
    [
      "python",
      "recursion-without-end",
      `def legs(way):
«    if way <= 0:
        return 0
¦»    return 1 + legs(way - 3)
`,
    ],
    [
      "c",
      "recursion-without-end",
      `int legs(int way) {
«    if (way <= 0)
        return 0;
¦»    return 1 + legs(way - 3);
}
`,
    ],
    [
      "python",
      "key-not-there",
      `loads = {"Tern": 12}
print(loads«.get(name, 0)¦[name]»)
`,
    ],
    [
      "java",
      "key-not-there",
      `class Deck {
    int f(Map<String, Integer> loads, String name) {
        int load = loads.«getOrDefault(name, 0)¦get(name)»;
        return load;
    }
}
`,
    ],
  ])("%s: %s", (language, kind, text) => {
    const slip = example(language, text);
    expect(mendedBy(slip)).toBe("guard-left-out");
    expect(kindOf(slip)).toBe(kind);
  });

  test.each([
    [
      "python",
      `totals = {}
for name in names:
«    if name not in totals:
        totals[name] = 0
¦»    totals[name] += 1
`,
    ],
    [
      "csharp",
      `class P
{
    void F(Dictionary<string, int> counts, string group)
    {
«        if (!counts.ContainsKey(group))
            counts[group] = 0;
¦»        counts[group]++;
    }
}
`,
    ],
  ])("a key that is added to is put in first (%s)", (language, text) => {
    expect(mendedBy(example(language, text))).toBe("guard-left-out");
  });

  test("in a decision that asks more, the test stands in brackets beside what it allows", () => {
    const slip = example(
      "java",
      `class Main {
    void f(Berth berth, int draft) {
        if (berth.takes(draft) && «(found == null || berth.depth < found.depth)¦berth.depth < found.depth») {
            found = berth;
        }
    }
}
`,
    );
    expect(mendedBy(slip)).toBe("empty-test");
    expect(kindOf(slip)).toBe("empty-reference-used");
  });
});

describe("something left out", () => {
  test.each([
    [
      "a step that a loop waits for, as large as what it asks for",
      ...["python", "loop-change"],
      `cars = int(input())
line = ""
while cars >= 5:
    line += "#"
«    cars -= 5
¦»print(line)
`,
    ],
    [
      "a count of the whole program that a function counts up",
      ...["java", "step-left-out"],
      `class Main {
    static int sold;

    static boolean sell(int seat) {
        taken[seat] = true;
«        sold++;
¦»        return true;
    }

    static void show() {
        System.out.println(sold);
    }
}
`,
    ],
    [
      "what each pass works out, added to what begins with 0",
      ...["csharp", "step-left-out"],
      `class P
{
    static void Main()
    {
        double sum = 0;
        foreach (Ticket ticket in tickets)
        {
            double price = ticket.Price();
            Console.WriteLine(price);
«            sum += price;
¦»        }
        Console.WriteLine(sum);
    }
}
`,
    ],
    [
      "the first place that is found",
      ...["c", "leaving"],
      `int enters(int count) {
    int first = -1;
    for (int hour = 0; hour < count; hour++) {
        if (tides[hour] > 30) {
            first = hour;
«            break;
¦»        }
    }
    return first;
}
`,
    ],
    [
      "the other case of a decision",
      ...["c", "chain"],
      `void place(int tall) {
    if (tall == 0)
        deck = 1;
«    else
        deck = 2;
¦    deck = 2;
»}
`,
    ],
    [
      "a value that a call hands over",
      ...["python", "argument-left-out"],
      `def fare(zone, day):
    return zone * (2 if day == "sun" else 1)


print(fare(3, "mon"))
print(fare(2«, "mon"¦»))
`,
    ],
    [
      "what a function takes off before it calls itself",
      ...["python", "factor-left-out"],
      `def rows(people, row):
    if people <= 0:
        return 0
    return 1 + rows(people« - row¦», row)
`,
    ],
    [
      "the place of one value in a pair",
      ...["python", "index-left-out"],
      `worst = ("Isle", 110)
if worst[1] > 60:
    print("Worst:", worst«[0]¦»)
`,
    ],
    [
      "the first element, where a best one begins",
      ...["python", "start-value"],
      `def busiest(trips):
    best = trips«[0]¦»
    for trip in trips:
        if trip["cars"] > best["cars"]:
            best = trip
    return best
`,
    ],
    [
      "the numbers up to a count",
      ...["python", "conversion"],
      `count = int(input())
for i in «range(count)¦count»:
    print(i)
`,
    ],
    [
      "a number made of what a list is made of",
      ...["python", "conversion"],
      `times = [«int(t)¦t» for t in line.split()]
print(times[1] - times[0])
`,
    ],
    [
      "giving back, where a product reads as a declaration",
      ...["c", "returned"],
      `int seats(int rows, int places) {
    «return ¦»rows * places;
}
`,
    ],
    [
      "the word that hands the place over",
      ...["pascal", "declaration"],
      `procedure ReadAll(«var ¦»row: TRow);
var
  k: integer;
begin
  for k := 1 to 6 do
    read(row[k]);
end;

begin
end.
`,
    ],
  ] as const)("%s (%s, %s)", (_, language, family, text) => {
    expect(mendedBy(example(language, text))).toBe(family);
  });
});

describe("another one than is meant", () => {
  test.each([
    ["a factor inside of a call", "octave", "formula-brackets", "w = «ceil(q / 20) * 15¦ceil(q / 20 * 15)»;\n"],
    ["a factor outside of a call", "python", "formula-brackets", "print(«round(a / b * 100)¦round(a / b) * 100»)\n"],
    [
      "the sign behind a text",
      ...["c", "text-literal"],
      "int f(char *t) {\n  int n = 0;\n  while (t[n] != '«\\0¦0»')\n    n++;\n  return n;\n}\n",
    ],
    ["the other slash", "python", "text-literal", 'print("Deck«\\n¦/n»")\n'],
    ["the place behind the last one", "octave", "by-one", 'queues = [];\nqueues(«end + 1¦end») = input("");\n'],
    [
      "the last place but one, where a limit has a name",
      ...["pascal", "by-one"],
      "const\n  Hours = 6;\nvar\n  k: integer;\nbegin\n  for k := 2 to «Hours - 1¦Hours» do\n    writeln(k);\nend.\n",
    ],
    [
      "a place that goes round, where lists begin with 1",
      ...["octave", "wrapped"],
      "boats = [1 2 2 1];\nw = boats(«mod(h - 1, 4) + 1¦mod(h, 4)»);\n",
    ],
    ["a column for a row", "octave", "along", "weights = «[0.5; 1; 2]¦[0.5, 1, 2]»;\n"],
    ["all of a table", "octave", "along", "n = sum(loads«(:)¦»);\n"],
    ["the word of an order", "octave", "sort-order", 'a = sort(b, "«descend¦ascend»");\n'],
    [
      "the number of a value in a text",
      ...["csharp", "format-letter"],
      'class P { void F(double fee) { Console.WriteLine("Fee: {«0¦1»:F2}", fee); } }\n',
    ],
    [
      "two parts of a line, each at the other's place",
      ...["csharp", "swapped"],
      "class P { void F(string[] p) { all.Add(new Crew(p[«0¦1»], int.Parse(p[«1¦0»]))); } }\n",
    ],
    [
      "a text before the name that it is joined to",
      "python",
      "swapped",
      'label = ""\nlabel = «label + "L"¦"L" + label»\n',
    ],
    [
      "a letter before the list that it is joined to",
      "octave",
      "swapped",
      'label = "";\nlabel = «[label "L"]¦["L" label]»;\n',
    ],
    [
      "an error that does not come",
      ...["java", "handled-error"],
      `class Main {
    int f(String text) {
        try {
            return Integer.parseInt(text);
        } catch («NumberFormatException¦ArithmeticException» e) {
            return 0;
        }
    }
}
`,
    ],
    [
      "an array by two names",
      ...["java", "copied"],
      `class Main {
    void raise(int[] fares) {
        int[] old = fares«.clone()¦»;
        fares[0] = fares[0] + 2;
        System.out.println(old[0]);
    }
}
`,
    ],
    [
      "a second variable of one name",
      ...["java", "scope-word"],
      `class Main {
    static int calls = 0;

    static void count() {
        «calls¦int calls» = 4;
    }
}
`,
    ],
    [
      "a number for a text that is added to",
      ...["python", "start-value"],
      'def bar(cars):\n    line = «""¦0»\n    while cars > 0:\n        line += "#"\n        cars -= 5\n    return line\n',
    ],
    [
      "an element for a place",
      ...["pascal", "start-value"],
      "function Lowest(row: TRow): integer;\nvar\n  k, best: integer;\nbegin\n  best := «1¦row[1]»;\n  for k := 2 to 6 do\n    if row[k] < row[best] then\n      best := k;\n  Lowest := best;\nend;\n\nbegin\nend.\n",
    ],
    [
      "a mark that is given what it has",
      ...["pascal", "constant"],
      "begin\n  safe := true;\n  if height < 40 then\n    safe := «false¦true»;\nend.\n",
    ],
    ["a part for a key", "python", "index-left-out", 'trip = {"boat": "Tern"}\nprint(trip«["boat"]¦.boat»)\n'],
    ["room for one element less", "pascal", "constant", "type\n  TDays = array[1..«7¦6»] of integer;\n\nbegin\nend.\n"],
    [
      "no array yet, for one with room",
      ...["java", "start-value"],
      "class Main { void f(int count) { int[] loads = «new int[count]¦null»; loads[0] = 3; } }\n",
    ],
  ] as const)("%s (%s, %s)", (_, language, family, text) => {
    expect(mendedBy(example(language, text))).toBe(family);
  });
});

describe("kinds by what a change looks like", () => {
  test.each([
    [
      "the element of a place",
      "pascal",
      "index-left-out",
      "var\n  i, high: integer;\n  heights: array[1..6] of integer;\nbegin\n  for i := 1 to 6 do\n    if heights[i] > high then\n      high := «heights[i]¦i»;\nend.\n",
    ],
    ["a limit that a loop waits for", "octave", "limit-off-by-one", "while x > «1¦0»\n  x = x - 1;\nend\n"],
    [
      "a line that belongs into the block above it",
      ...["python", "statement-outside-block"],
      "trips = []\nfor number in range(3):\n    line = input()\n«    trips.append(line)¦trips.append(line)»\nprint(trips)\n",
    ],
    [
      "a variable that is made once more",
      ...["csharp", "variable-shadowed"],
      "class P\n{\n    int calls = 0;\n    void Count()\n    {\n        «calls¦int calls» = 4;\n    }\n}\n",
    ],
    [
      "a value that a call lacks",
      ...["c", "argument-count-wrong"],
      "int seats(int rows, int places) { return rows * places; }\nint all(int rows, int places) {\n  return seats(rows«, places¦»);\n}\n",
    ],
  ] as const)("%s (%s): %s", (_, language, kind, text) => {
    expect(kindOf(example(language, text))).toBe(kind);
  });

  test("a limit that lets the empty list through is a limit, though the tool speaks of a value", () => {
    const slip = example("python", "if len(waits) «>¦>=» 0:\n    print(max(waits))\n");
    expect(kindOf(slip, "ValueError: max() arg is an empty sequence\n")).toBe("limit-off-by-one");
  });

  test("what is taken from a joined text was to be worked out first", () => {
    const slip = example(
      "java",
      'class A {\n  void f(List<String> boats) {\n    System.out.println("with " + «(boats.size() - 1)¦boats.size() - 1»);\n  }\n}\n',
    );
    const message =
      "A.java:3: error: bad operand types for binary operator '-'\n  first type:  String\n  second type: int\n";
    expect(kindOf(slip, message)).toBe("sum-joined-to-text");
  });
});
