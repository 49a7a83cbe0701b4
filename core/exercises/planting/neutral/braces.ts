import { type Neutral, neutral } from "./neutral.ts";

/** How a language of this family writes what the shared programs need. */
export type Braces = {
  frame: (body: string, methods: string) => string;
  readNumber: string;
  print: (value: string) => string;
  array: (values: string) => string;
  length: string;
  truth: string;
  method: string;
};

const indented = (text: string, by: string) =>
  text
    .trimEnd()
    .split("\n")
    .map((line) => (line === "" ? "" : by + line))
    .join("\n");

/** The neutral programs of Java and C#, whose statements are written alike. */
export function bracesNeutral(own: Braces): readonly Neutral[] {
  const { readNumber: read, print, array, length, truth, method } = own;
  const made = (level: number, title: string, body: string, methods = ""): Neutral => {
    const inner = indented(neutral(level, title, body).program, "        ");
    const others = methods === "" ? "" : `\n\n${indented(neutral(level, title, methods).program, "    ")}`;
    return { title, level, program: own.frame(inner, others) };
  };
  return [
    made(
      1,
      "Bill of a crossing",
      `
      int fare = ${read};
      int cars = ${read};
      int bill = fare * cars;
      ${print('"Bill: " + bill')};
    `,
    ),
    made(
      1,
      "Crossing time",
      `
      int minutes = ${read};
      int hours = minutes / 60;
      int rest = minutes % 60;
      ${print('hours + " hours and " + rest + " minutes"')};
    `,
    ),
    made(
      2,
      "Room on the deck",
      `
      int places = 40;
      int booked = ${read};
      int room = places - booked;
      if (room > 0) {
          ${print('"Free places: " + room')};
      } else {
          ${print('"The deck is full"')};
      }
    `,
    ),
    made(
      2,
      "Fare by age",
      `
      int age = ${read};
      int fare;
      if (age < 4) {
          fare = 0;
      } else if (age < 15) {
          fare = 3;
      } else if (age >= 65) {
          fare = 5;
      } else {
          fare = 8;
      }
      ${print('"Fare: " + fare')};
    `,
    ),
    made(
      2,
      "Before the ramp closes",
      `
      int left = ${read};
      while (left > 0) {
          ${print('"Closes in " + left')};
          left = left - 5;
      }
      ${print('"The ramp is closed"')};
    `,
    ),
    made(
      3,
      "Loads of a day",
      `
      int[] loads = ${array("12, 30, 7, 25")};
      int total = 0;
      int largest = loads[0];
      for (int i = 0; i < loads.${length}; i++) {
          total = total + loads[i];
          if (loads[i] > largest) {
              largest = loads[i];
          }
      }
      ${print('"Total " + total')};
      ${print('"Largest " + largest')};
    `,
    ),
    made(
      3,
      "Crossings that were full",
      `
      int[] booked = ${array("38, 40, 22, 41, 40")};
      int limit = ${read};
      int full = 0;
      for (int i = 0; i < booked.${length}; i++) {
          if (booked[i] >= limit) {
              full = full + 1;
          }
      }
      ${print(`full + " of " + booked.${length} + " were full"`)};
    `,
    ),
    made(
      3,
      "Tide by the hour",
      `
      int height = ${read};
      for (int hour = 1; hour <= 6; hour++) {
          if (hour <= 3) {
              height = height + 2;
          } else {
              height = height - 1;
          }
          ${print('"Hour " + hour + " height " + height')};
      }
    `,
    ),
    made(
      4,
      "Bills of a family",
      `
      int people = ${read};
      int total = 0;
      for (int person = 0; person < people; person++) {
          int age = ${read};
          int card = ${read};
          total = total + ${method}(age, card);
      }
      ${print('"Total: " + total')};
    `,
      `
      static int ${method}(int age, int hasCard) {
          int fare = 8;
          if (age < 15) {
              fare = 3;
          }
          if (hasCard == 1) {
              fare = fare - 1;
          }
          return fare;
      }
    `,
    ),
    made(
      4,
      "On the list of boats",
      `
      int[] numbers = ${array("17, 4, 23, 11")};
      int wanted = ${read};
      int place = 0;
      ${truth} found = false;
      while (place < numbers.${length} && !found) {
          if (numbers[place] == wanted) {
              found = true;
          } else {
              place = place + 1;
          }
      }
      if (found) {
          ${print('"Boat " + wanted + " is at place " + (place + 1)')};
      } else {
          ${print('"Boat " + wanted + " is not there"')};
      }
    `,
    ),
    made(
      5,
      "Lanes of the deck",
      `
      int lanes = ${read};
      int rows = ${read};
      int room = 0;
      for (int lane = 0; lane < lanes; lane++) {
          for (int row = 0; row < rows; row++) {
              ${truth} taken = (lane + row) % 3 == 0 || row > lane;
              if (!taken) {
                  room = room + 1;
                  ${print('"Lane " + lane + " row " + row + " is free"')};
              }
          }
      }
      ${print('"Free: " + room')};
    `,
    ),
    made(
      5,
      "Waiting times in order",
      `
      int[] waits = ${array("14, 3, 27, 9")};
      int late = ${read};
      int count = 0;
      for (int last = waits.${length} - 1; last > 0; last--) {
          for (int place = 0; place < last; place++) {
              if (waits[place] > waits[place + 1]) {
                  int other = waits[place];
                  waits[place] = waits[place + 1];
                  waits[place + 1] = other;
              }
          }
      }
      for (int place = 0; place < waits.${length}; place++) {
          ${print("waits[place]")};
          if (waits[place] >= late) {
              count = count + 1;
          }
      }
      ${print('"Late: " + count')};
    `,
    ),
  ];
}
