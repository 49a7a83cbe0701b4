import type { DemoCase } from "../cases.ts";

const missing = `heights = [1.2 2.4 3.1];
total = 0;
for i = 1:numel(heights)
  if heights(i) > 2
    total = total + heights(i);
end
disp(total)
`;

const past = `names = {"Gannet", "Tern", "Fulmar"};
for i = 1:3
  printf("%d %s\\n", i, names{i + 1});
end
`;

const fare = `age = input("Age? ");
fare = 12;
if age < 15
  fare = fare / 2;
end
printf("Fare: %d\\n", fare);
`;

const layers = `fares = [12 8 20;
function r = half(fare)
  r = fare / 2;
end
total = 0;
for i = 1:3
  total = total + half(fare(i));
end
printf("Half fares: %d\\n", total);
`;
const layersSecond = layers.replace("[12 8 20;", "[12 8 20];");

/**
 * Octave: an end missing far above the reported line, a position past the end, a boundary, and two faults one behind
 * the other.
 */
export const octaveCases: readonly DemoCase[] = [
  {
    language: "octave",
    name: "high_tides.m",
    title: "High tides in Octave",
    intent: "Add up the tide heights above two metres.",
    student: "T-07",
    program: missing,
    input: "",
    expected: "5.5000\n",
    mended: [],
  },
  {
    language: "octave",
    name: "passengers.m",
    title: "Passenger list in Octave",
    intent: "Print the passengers with their numbers.",
    student: "T-08",
    program: past,
    input: "",
    expected: "1 Gannet\n2 Tern\n3 Fulmar\n",
    mended: [],
  },
  {
    language: "octave",
    name: "child_fare.m",
    title: "Fares for children in Octave",
    intent: "Up to and including 15 years half price.",
    student: "T-09",
    program: fare,
    input: "15\n",
    expected: "Age? Fare: 6\n",
    checks: [{ input: "16\n", expected: "Age? Fare: 12\n", kind: "boundary" }],
    mended: [fare.replace("age < 15", "age <= 15")],
  },
  {
    language: "octave",
    name: "half_fares.m",
    title: "Half fares in Octave",
    intent: "Add up half of every fare.",
    student: "T-10",
    program: layers,
    input: "",
    expected: "Half fares: 20\n",
    mended: [layersSecond, layersSecond.replace("fare(i)", "fares(i)")],
  },
];
