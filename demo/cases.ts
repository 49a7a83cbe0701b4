/**
 * A case of the demo: what a student handed in and how a teacher mends it, step by step. Everything else is worked out
 * at load.
 */
export type DemoCase = {
  /** Python if not given. */
  language?: string;
  name: string;
  title: string;
  intent: string;
  student?: string;
  program: string;
  /** Files beside the program, by name. */
  files?: Readonly<Record<string, string>>;
  input: string;
  expected: string;
  symptom?: "never ends" | "nothing appears";
  changedLast?: string;
  /** More checks: typed input, intended output, kind. */
  checks?: ReadonlyArray<{ input: string; expected: string; kind: "normal" | "boundary" | "erroneous" }>;
  /** The program after each mended fault; empty: the case waits in the Tray. */
  mended: readonly string[];
  /** The faulty lines of the first fault where they are not simply those that the fix changes. */
  faultyLines?: readonly number[];
};

const boarding = `# Boarding list of the Kittiwake, by S-04
places = 6
booked = 4
print("Places left:", places - booked)
if booked > places
    print("Full")
else:
    print("Come aboard")
`;

const tides = `# Tide heights at the slip, in metres
heights = [1.2, 2.4, 3.1, 2.2
lowest = min(heights)
print("Lowest tide:", lowest)
print("Highest tide:", max(heights))
`;

const deckLoad = `# Adds up the loads on the car deck, in tonnes
car = 2
lorry = 12
cars = 5
lorries = 2
print("Cars:", cars * car)
total = cars * car + lorries * lory
print("Deck load:", total)
`;

const crossing = `# How long a crossing takes
crossing = 35
stops = input("Stops? ")
minutes = crossing + stops * 5
print("Minutes:", minutes)
`;

const passengers = `# Prints the passenger list with numbers
names = ["Gannet", "Tern", "Fulmar"]
number = 1
while number <= len(names):
    print(number, names[number])
    number = number + 1
`;

const childFare = `# Fares: up to and including 15 years half price
def fare(age):
    full = 12
    if age < 15:
        return full / 2
    return full

age = int(input("Age? "))
print("Fare:", fare(age))
`;

const sailing = `# May the ferry sail? Wind up to 8 and waves up to 3 metres
wind = int(input("Wind? "))
waves = int(input("Waves? "))
if wind <= 8 or waves <= 3:
    print("We sail")
else:
    print("We stay in port")
`;

const loading = `# Loads crates until the deck is full
capacity = 20
load = 0
crates = 0
while load < capacity:
    crates = crates + 1
    print("Crate", crates)
print("Crates on deck:", crates)
`;

const timetable = `# Departure times from Puffin Quay, by S-09
first = 8
last = 12
departures = []
hour = first
while hour < last:
    departures.append(hour
    hour = hour + 1
print("First:", departures[0])
print("Last:", departures[lenght - 1])
print("Crossings:", len(departures))
`;

const meanWaves = `# Mean wave height over a week
waves = [0.4, 0.8, 1.5, 1.1, 0.6, 0.3, 0.9]
total = 0
for height in waves:
    total = height
mean = total / len(waves)
print("Mean wave height:", round(mean, 2))
`;

const berth = `# Which berth does a boat get?
length = int(input("Length? "))
if length > 30:
    berth = "North quay"
if length > 12:
    berth = "Middle quay"
else:
    berth = "Slip"
print("Berth:", berth)
`;

function change(program: string, before: string, after: string): string {
  if (!program.includes(before)) throw new Error(`demo: ${before} is not in the program`);
  return program.replace(before, after);
}

const timetableClosed = change(timetable, "append(hour\n", "append(hour)\n");
const timetableNamed = change(timetableClosed, "[lenght - 1]", "[len(departures) - 1]");

export const demoCases: readonly DemoCase[] = [
  {
    name: "boarding.py",
    title: "Boarding list: is there a place left?",
    intent: "Say whether the ferry is full. With 4 booked of 6 places there are 2 left and people may come aboard.",
    student: "S-04",
    program: boarding,
    input: "",
    expected: "Places left: 2\nCome aboard\n",
    changedLast: "I added the question whether it is full.",
    mended: [change(boarding, "booked > places\n", "booked > places:\n")],
  },
  {
    name: "tides.py",
    title: "Tide heights at the slip",
    intent: "Print the lowest and the highest tide of a day.",
    student: "S-02",
    program: tides,
    input: "",
    expected: "Lowest tide: 1.2\nHighest tide: 3.1\n",
    mended: [change(tides, "2.2\n", "2.2]\n")],
  },
  {
    name: "deck_load.py",
    title: "Load on the car deck",
    intent: "Add up what 5 cars and 2 lorries weigh: 34 tonnes.",
    student: "S-07",
    program: deckLoad,
    input: "",
    expected: "Cars: 10\nDeck load: 34\n",
    mended: [change(deckLoad, "lorries * lory", "lorries * lorry")],
  },
  {
    name: "crossing.py",
    title: "How long does the crossing take?",
    intent: "A crossing takes 35 minutes and 5 more for each stop.",
    student: "S-01",
    program: crossing,
    input: "2\n",
    expected: "Stops? Minutes: 45\n",
    checks: [{ input: "0\n", expected: "Stops? Minutes: 35\n", kind: "boundary" }],
    mended: [change(crossing, 'input("Stops? ")', 'int(input("Stops? "))')],
    faultyLines: [3],
  },
  {
    name: "passengers.py",
    title: "Passenger list with numbers",
    intent: "Print the names of all passengers, numbered from 1.",
    student: "S-05",
    program: passengers,
    input: "",
    expected: "1 Gannet\n2 Tern\n3 Fulmar\n",
    mended: [change(passengers, "names[number])", "names[number - 1])")],
  },
  {
    name: "child_fare.py",
    title: "Half fare up to 15",
    intent: "Passengers up to and including 15 years pay half of 12.",
    student: "S-03",
    program: childFare,
    input: "15\n",
    expected: "Age? Fare: 6.0\n",
    checks: [
      { input: "14\n", expected: "Age? Fare: 6.0\n", kind: "boundary" },
      { input: "16\n", expected: "Age? Fare: 12\n", kind: "boundary" },
    ],
    mended: [change(childFare, "age < 15", "age <= 15")],
  },
  {
    name: "sailing.py",
    title: "May the ferry sail?",
    intent: "The ferry sails only if the wind is at most 8 and the waves are at most 3 metres.",
    student: "S-08",
    program: sailing,
    input: "5\n4\n",
    expected: "Wind? Waves? We stay in port\n",
    checks: [
      { input: "8\n3\n", expected: "Wind? Waves? We sail\n", kind: "boundary" },
      { input: "9\n2\n", expected: "Wind? Waves? We stay in port\n", kind: "normal" },
    ],
    mended: [change(sailing, " or ", " and ")],
  },
  {
    name: "loading.py",
    title: "Crates on the deck",
    intent: "Crates of 4 tonnes are loaded until the deck with 20 tonnes is full: 5 crates.",
    student: "S-06",
    program: loading,
    input: "",
    expected: "Crate 1\nCrate 2\nCrate 3\nCrate 4\nCrate 5\nCrates on deck: 5\n",
    symptom: "never ends",
    mended: [change(loading, "    crates = crates + 1\n", "    crates = crates + 1\n    load = load + 4\n")],
  },
  {
    name: "timetable.py",
    title: "Departures from Puffin Quay",
    intent: "There is a departure every hour from 8 to 12, the last at 12: five crossings.",
    student: "S-09",
    program: timetable,
    input: "",
    expected: "First: 8\nLast: 12\nCrossings: 5\n",
    mended: [timetableClosed, timetableNamed, change(timetableNamed, "while hour < last:", "while hour <= last:")],
  },
  {
    name: "waves.py",
    title: "Mean wave height of a week",
    intent: "The mean of the seven heights is 0.8 metres.",
    student: "S-10",
    program: meanWaves,
    input: "",
    expected: "Mean wave height: 0.8\n",
    mended: [],
  },
  {
    name: "berth.py",
    title: "Which berth does a boat get?",
    intent: "Boats over 30 metres lie at the North quay, over 12 at the Middle quay, others on the slip.",
    student: "S-02",
    program: berth,
    input: "45\n",
    expected: "Length? Berth: North quay\n",
    mended: [],
  },
];

/** The files of a case with a text in the place of its program. */
export function filesOf(demo: DemoCase, program: string): Array<{ name: string; bytes: Uint8Array }> {
  const all = Object.entries({ [demo.name]: program, ...demo.files });
  return all.map(([name, text]) => ({ name, bytes: Buffer.from(text, "utf8") }));
}
