/** Programs of the same thing in other hands: each right in its own way. */
const texts = {
  list: '# cars on the deck of the Kittiwake\ncount = int(input("How many cars wait? "))\nweights = []\nfor number in range(count):\n    weights.append(float(input("Weight in t: ")))\nif count == 0:\n    print("Empty deck")\nelse:\n    total = sum(weights)\n    print("Total:", total, "t")\n    print("Heaviest:", max(weights), "t")\n    if total <= 20:\n        print("May sail")\n    else:\n        print("Too heavy")\n',
  loop: 'limit = 20\ncars = int(input("Cars: "))\ntotal = 0\nheaviest = 0\nfor car in range(1, cars + 1):\n    weight = float(input(f"Car {car}: "))\n    total = total + weight\n    if weight > heaviest:\n        heaviest = weight\nif cars > 0:\n    print(f"Total: {total} t")\n    print(f"Heaviest: {heaviest} t")\n    if total > limit:\n        print("Too heavy")\n    else:\n        print("May sail")\nelse:\n    print("Empty deck")\n',
  functions:
    'def read_weights(count):\n    weights = []\n    while len(weights) < count:\n        print("Next weight, please")\n        weights.append(float(input()))\n    return weights\n\n\ndef report(weights):\n    total = 0\n    for weight in weights:\n        total += weight\n    print("Total: " + str(total) + " t")\n    print("Heaviest: " + str(max(weights)) + " t")\n    if total <= 20:\n        print("May sail")\n    else:\n        print("Too heavy")\n\n\nprint("*** Deck planner ***")\nprint("Number of cars")\ncount = int(input())\nif count == 0:\n    print("Empty deck")\nelse:\n    report(read_weights(count))\n',
  bare: 'n = int(input())\ntotal = 0.0\nmost = 0.0\ni = 0\nwhile i < n:\n    w = float(input())\n    total += w\n    most = max(most, w)\n    i += 1\nif n == 0:\n    print("Empty deck")\nelse:\n    print("Total:", total, "t")\n    print("Heaviest:", most, "t")\n    if total <= 20:\n        print("May sail")\n    else:\n        print("Too heavy")\n',
} as const;

/** What a student handed in: one of these texts, with what stands otherwise in it. */
type HandedIn = { text: keyof typeof texts; changes: ReadonlyArray<readonly [string, string]> };

const handedIn: readonly HandedIn[] = [
  { text: "list", changes: [] },
  { text: "loop", changes: [] },
  { text: "functions", changes: [["total <= 20", "total < 20"]] },
  {
    text: "list",
    changes: [
      ['"How many cars wait? "', '"number of cars: "'],
      ['"Weight in t: "', '"> "'],
      ["total <= 20", "total < 20"],
    ],
  },
  { text: "loop", changes: [["if total > limit:", "if total >= limit:"]] },
  { text: "bare", changes: [] },
  {
    text: "list",
    changes: [['weights.append(float(input("Weight in t: ")))', 'weights.append(input("Weight in t: "))']],
  },
  { text: "functions", changes: [["weights.append(float(input()))", "weights.append(input())"]] },
  { text: "loop", changes: [["for car in range(1, cars + 1):", "for car in range(1, cars):"]] },
  { text: "bare", changes: [["    i += 1\n", ""]] },
  { text: "list", changes: [['print("Empty deck")\nelse:', 'print("Empty deck")\nelse']] },
  { text: "functions", changes: [["def report(weights):", "def report(weights)"]] },
  { text: "loop", changes: [["if weight > heaviest:", "if weight < heaviest:"]] },
  { text: "list", changes: [['if count == 0:\n    print("Empty deck")\nelse:\n', "if count > 0:\n"]] },
  {
    text: "bare",
    changes: [['if n == 0:\n    print("Empty deck")\nelse:\n    print("Total', 'if n >= 0:\n    print("Total']],
  },
  { text: "list", changes: [["max(weights)", "weights[0]"]] },
  { text: "loop", changes: [["    total = total + weight\n", "    total = weight\n"]] },
  { text: "list", changes: [['int(input("How many cars wait? "))', 'input("How many cars wait? ")']] },
  {
    text: "functions",
    changes: [
      [
        'if count == 0:\n    print("Empty deck")\nelse:\n    report(read_weights(count))',
        "report(read_weights(count))",
      ],
    ],
  },
  {
    text: "loop",
    changes: [
      [
        'print("Too heavy")\n    else:\n        print("May sail")',
        'print("May sail")\n    else:\n        print("Too heavy")',
      ],
    ],
  },
  { text: "bare", changes: [['"Heaviest:", most', '"Heaviest:", w']] },
  {
    text: "list",
    changes: [
      ['"How many cars wait? "', '"Wie viele Autos? "'],
      ['"Weight in t: "', '"Gewicht: "'],
    ],
  },
  { text: "functions", changes: [['"Next weight, please"', '"Weight " + str(len(weights) + 1)']] },
  { text: "loop", changes: [["heaviest = weight", "heavyest = weight"]] },
  { text: "bare", changes: [['print("Too heavy")', 'print("Too heavy"']] },
  {
    text: "list",
    changes: [
      ['print("Heaviest:", max(weights), "t")', 'print("Heaviest:", max(weight), "t")'],
      ["total <= 20", "total < 20"],
    ],
  },
  { text: "loop", changes: [["limit = 20", 'limit = "20"']] },
  {
    text: "functions",
    changes: [
      ['print("Number of cars")\n', ""],
      ['print("*** Deck planner ***")\n', ""],
    ],
  },
];

/** The programs of a class, one a student in the order of their labels. */
export const deckPrograms: readonly string[] = handedIn.map(({ text, changes }) =>
  changes.reduce((program: string, [from, to]) => program.replace(from, to), texts[text]),
);

/** A program that does what is asked. */
export const deckModel = texts.loop;
