import { expect, test } from "vitest";
import { applyEdit, invertEdit } from "../edits/edit.ts";
import { findLanguage } from "../languages/languages.ts";
import { findPattern, patterns } from "./patterns.ts";
import { plantedKinds, plantsOf } from "./plant.ts";

const languageOf = (id: string) => {
  const language = findLanguage(id);
  if (!language) throw new Error(id);
  return language;
};

/** Right programs that have what small examples have not: inputs one after another, decks in decks, defaults, copies, cases. */
const hosts: ReadonlyArray<{ language: string; text: string }> = [
  {
    language: "python",
    text: `total = 0

def board(name, deck=None):
    if deck is None:
        deck = []
    deck.append(name)
    return deck

def add(load):
    global total
    total = total + load
    return total

def ways(steps):
    if steps <= 1:
        return 1
    return ways(steps - 1) + ways(steps - 2)

loads = [12, 7, 20]
kept = list(loads)
for load in list(loads):
    if load > 10:
        kept.remove(load)
        add(load)
        print("heavy", load)
print(kept, total, ways(4), board("K1"))
while total > 30:
    total = total - 1
print(total / len(loads))
`,
  },
  {
    language: "java",
    text: `import java.util.*;

public class Main {
    static int total = 0;
    static int fare(int age, int bags) {
        if (age < 14) {
            if (bags > 0) {
                return 4 + bags;
            }
        } else {
            return 9 + bags;
        }
        return 4;
    }
    public static void main(String[] args) {
        Scanner scanner = new Scanner(System.in);
        int age = scanner.nextInt();
        scanner.nextLine();
        String ferry = scanner.nextLine();
        long metres = 3000000;
        int[] loads = {12, 7};
        int[] kept = loads.clone();
        switch (age) {
            case 1:
                total = 1;
                break;
            default:
                total = 2;
        }
        if (ferry.equals("tern") && age > 2) {
            System.out.println(fare(age, 2) + kept[0]);
        }
        System.out.println(metres * total / loads.length);
    }
}
`,
  },
  {
    language: "c",
    text: `#include <stdio.h>
#include <string.h>

int main(void) {
    int load, total = 0;
    char deck;
    char ferry[20];
    scanf("%d", &load);
    scanf(" %c", &deck);
    strcpy(ferry, "kittiwake");
    for (int trip = 1; trip <= 3; trip++) {
        total = total + load;
    }
    switch (deck) {
        case 'A':
            total = total + 1;
            break;
        case 'B':
            total = total + 2;
            break;
    }
    printf("%d %s %.1f\\n", total, ferry, (double) total / 2);
    return 0;
}
`,
  },
  {
    language: "octave",
    text: `seats = [1, 2, 3; 4, 5, 6];
fares = [9; 4];
rows = size(seats, 1);
if rows > 1
  printf("%d\\n", rows);
else
  printf("one\\n");
end
printf("%d\\n", [2, 3] * fares);
`,
  },
];

/** Kinds in whose examples many others can be planted: with these first, few of the rest have to be tried. */
const rich = [
  ...["slice-off-by-one", "converted-twice", "surroundings-failed", "loop-direction-wrong", "name-never-defined"],
  ...["member-misspelt", "format-letter-wrong", "limit-off-by-one", "shapes-do-not-fit", "text-not-a-number"],
  ...["sorted-wrong-way", "loop-start-wrong", "reference-perhaps-empty", "keyword-misspelt", "index-past-end"],
];

/** The first example of each kind: programs that were written for another kind. */
const others = patterns
  .flatMap(({ id, examples }) => examples.slice(0, 1).map(({ language, right }) => ({ id, language, text: right })))
  .toSorted((one, other) => Number(rich.includes(other.id)) - Number(rich.includes(one.id)));

test("at least 80 kinds of mistake are planted in programs that are not their example, and undoing the edit gives the program again", () => {
  const planted = new Set<string>();
  const own = hosts.map((host) => ({ id: "", ...host }));
  const faults = () => [...planted].filter((id) => findPattern(id)?.fault).length;
  for (const { id, language, text } of [...own, ...others]) {
    // All of them each time takes most of a minute: `npm run test:long`.
    if (faults() >= 80 && !process.env.BENT_NAIL_LONG) break;
    for (const [kind, all] of plantedKinds(languageOf(language), text)) {
      if (kind !== id) planted.add(kind);
      for (const { program, edit, line } of all.slice(0, 2)) {
        expect(program).not.toBe(text);
        expect(applyEdit(program, invertEdit(text, edit)), kind).toBe(text);
        expect(line).toBeGreaterThan(0);
      }
    }
  }
  const missing = patterns.filter(({ id, fault }) => fault && !planted.has(id)).map(({ id }) => id);
  expect(faults(), `not planted: ${missing.join(" ")}`).toBeGreaterThanOrEqual(80);
});

test.each([
  ["python", "colon-missing", "for trip in range(3):\n    print(trip)\n", "for trip in range(3)\n    print(trip)\n"],
  ["python", "default-shared", "def board(deck=None):\n    return deck\n", "def board(deck=[]):\n    return deck\n"],
  [
    "c",
    "semicolon-after-header",
    "int main(void) {\n    for (int a = 0; a < 3; a++)\n        f();\n    return 0;\n}\n",
    "int main(void) {\n    for (int a = 0; a < 3; a++);\n        f();\n    return 0;\n}\n",
  ],
  [
    "pascal",
    "comparison-for-assignment",
    "var a: integer;\nbegin\n  a := 1;\nend.\n",
    "var a: integer;\nbegin\n  a = 1;\nend.\n",
  ],
  ["octave", "dimension-wrong", "printf('%d', size(a, 1));\n", "printf('%d', size(a, 2));\n"],
  ["python", "in-place-result-used", "loads.sort()\nprint(loads)\n", "loads = loads.sort()\nprint(loads)\n"],
])("%s: %s is planted as it is made", (language, pattern, right, faulty) => {
  expect(plantsOf(pattern, languageOf(language), right).map(({ program }) => program)).toContain(faulty);
});

test("what cannot be planted in a program is not; a language that nobody takes apart has nothing", () => {
  expect(plantsOf("recursion-without-end", languageOf("python"), "print(1)\n")).toEqual([]);
  expect(plantsOf("colon-missing", languageOf("steps"), "print 1\n")).toEqual([]);
});
