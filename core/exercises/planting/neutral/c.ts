import { type Neutral, neutral } from "./neutral.ts";

/** The frame of a program around what its main function does. */
const inMain = (level: number, title: string, body: string, before = ""): Neutral => {
  const plain = neutral(level, title, body).program;
  const inner = plain
    .trimEnd()
    .split("\n")
    .map((line) => (line === "" ? "" : `    ${line}`))
    .join("\n");
  return { title, level, program: `#include <stdio.h>\n\n${before}int main(void) {\n${inner}\n    return 0;\n}\n` };
};

export const cNeutral: readonly Neutral[] = [
  inMain(
    1,
    "Bill of a crossing",
    `
    int fare, cars;
    scanf("%d", &fare);
    scanf("%d", &cars);
    int bill = fare * cars;
    printf("Bill: %d\\n", bill);
  `,
  ),
  inMain(
    1,
    "Crossing time",
    `
    int minutes;
    scanf("%d", &minutes);
    int hours = minutes / 60;
    int rest = minutes % 60;
    printf("%d hours and %d minutes\\n", hours, rest);
  `,
  ),
  inMain(
    2,
    "Room on the deck",
    `
    int places = 40;
    int booked;
    scanf("%d", &booked);
    int room = places - booked;
    if (room > 0) {
        printf("Free places: %d\\n", room);
    } else {
        printf("The deck is full\\n");
    }
  `,
  ),
  inMain(
    2,
    "Fare by age",
    `
    int age;
    int fare;
    scanf("%d", &age);
    if (age < 4) {
        fare = 0;
    } else if (age < 15) {
        fare = 3;
    } else if (age >= 65) {
        fare = 5;
    } else {
        fare = 8;
    }
    printf("Fare: %d\\n", fare);
  `,
  ),
  inMain(
    2,
    "Before the ramp closes",
    `
    int left;
    scanf("%d", &left);
    while (left > 0) {
        printf("Closes in %d\\n", left);
        left = left - 5;
    }
    printf("The ramp is closed\\n");
  `,
  ),
  inMain(
    3,
    "Loads of a day",
    `
    int loads[4] = {12, 30, 7, 25};
    int total = 0;
    int largest = loads[0];
    for (int i = 0; i < 4; i++) {
        total = total + loads[i];
        if (loads[i] > largest) {
            largest = loads[i];
        }
    }
    printf("Total %d\\n", total);
    printf("Largest %d\\n", largest);
  `,
  ),
  inMain(
    3,
    "Crossings that were full",
    `
    int booked[5] = {38, 40, 22, 41, 40};
    int limit;
    int full = 0;
    scanf("%d", &limit);
    for (int i = 0; i < 5; i++) {
        if (booked[i] >= limit) {
            full = full + 1;
        }
    }
    printf("%d of 5 were full\\n", full);
  `,
  ),
  inMain(
    3,
    "Tide by the hour",
    `
    int height;
    scanf("%d", &height);
    for (int hour = 1; hour <= 6; hour++) {
        if (hour <= 3) {
            height = height + 2;
        } else {
            height = height - 1;
        }
        printf("Hour %d height %d\\n", hour, height);
    }
  `,
  ),
  inMain(
    4,
    "Bills of a family",
    `
    int people;
    int total = 0;
    scanf("%d", &people);
    for (int person = 0; person < people; person++) {
        int age, card;
        scanf("%d", &age);
        scanf("%d", &card);
        total = total + fareFor(age, card);
    }
    printf("Total: %d\\n", total);
  `,
    `int fareFor(int age, int hasCard) {
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
  inMain(
    4,
    "On the list of boats",
    `
    int numbers[4] = {17, 4, 23, 11};
    int wanted;
    int place = 0;
    int found = 0;
    scanf("%d", &wanted);
    while (place < 4 && !found) {
        if (numbers[place] == wanted) {
            found = 1;
        } else {
            place = place + 1;
        }
    }
    if (found) {
        printf("Boat %d is at place %d\\n", wanted, place + 1);
    } else {
        printf("Boat %d is not there\\n", wanted);
    }
  `,
  ),
  inMain(
    5,
    "Lanes of the deck",
    `
    int lanes, rows;
    int room = 0;
    scanf("%d", &lanes);
    scanf("%d", &rows);
    for (int lane = 0; lane < lanes; lane++) {
        for (int row = 0; row < rows; row++) {
            int taken = (lane + row) % 3 == 0 || row > lane;
            if (!taken) {
                room = room + 1;
                printf("Lane %d row %d is free\\n", lane, row);
            }
        }
    }
    printf("Free: %d\\n", room);
  `,
  ),
  inMain(
    5,
    "Waiting times in order",
    `
    int waits[4] = {14, 3, 27, 9};
    int late;
    int count = 0;
    scanf("%d", &late);
    for (int last = 3; last > 0; last--) {
        for (int place = 0; place < last; place++) {
            if (waits[place] > waits[place + 1]) {
                int other = waits[place];
                waits[place] = waits[place + 1];
                waits[place + 1] = other;
            }
        }
    }
    for (int place = 0; place < 4; place++) {
        printf("%d\\n", waits[place]);
        if (waits[place] >= late) {
            count = count + 1;
        }
    }
    printf("Late: %d\\n", count);
  `,
  ),
];
