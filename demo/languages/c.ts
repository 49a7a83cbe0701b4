import type { DemoCase } from "../cases.ts";

const semicolon = `#include <stdio.h>

int main(void)
{
    int places = 6;
    int booked = 4

    printf("Places left: %d\\n", places - booked);
    return 0;
}
`;

const list = `#include <stdio.h>
#include <string.h>

struct boat { char name[12]; struct boat *next; };

int main(void)
{
    struct boat tern = { "Tern", NULL };
    struct boat *at = &tern;
    int letters = 0;
    printf("Boats: ");
    while (letters < 10) {
        letters = letters + strlen(at->name);
        at = at->next;
    }
    printf("%d letters\\n", letters);
    return 0;
}
`;

const crossing = `#include <stdio.h>

int main(void)
{
    int minutes = 0;
    int stops;
    printf("Stops? ");
    scanf("%d", &stops);
    for (int stop = 0; stop <= stops; stop++)
        minutes = minutes + 5;
    printf("Minutes: %d\\n", 35 + minutes);
    return 0;
}
`;

const layers = `#include <stdio.h>

int half(int fare)
{
    return fare / 2;
}

int main(void)
{
    int fares[3] = { 12, 8, 20 };
    int total = 0;
    for (int i = 0; i < 3; i++ {
        total = totl + half(fares[i]);
    }
    printf("Half fares: %d\\n", total);
    return 0;
}
`;
const layersSecond = layers.replace("i++ {", "i++) {");

/**
 * C: a semicolon missing above the reported line, a crash without a line, one pass too many, and two faults one behind
 * the other.
 */
export const cCases: readonly DemoCase[] = [
  {
    language: "c",
    name: "places.c",
    title: "Places left in C",
    intent: "Print how many places are left on the Kittiwake.",
    student: "T-05",
    program: semicolon,
    input: "",
    expected: "Places left: 2\n",
    mended: [],
  },
  {
    language: "c",
    name: "boats.c",
    title: "Letters in the boats' names in C",
    intent: "Go through the list of boats and count the letters of their names.",
    student: "T-06",
    program: list,
    input: "",
    expected: "Boats: 4 letters\n",
    mended: [],
  },
  {
    language: "c",
    name: "crossing.c",
    title: "Crossing time with stops in C",
    intent: "A crossing takes 35 minutes and 5 more for every stop.",
    student: "T-07",
    program: crossing,
    input: "2\n",
    expected: "Stops? Minutes: 45\n",
    checks: [{ input: "0\n", expected: "Stops? Minutes: 35\n", kind: "boundary" }],
    mended: [crossing.replace("stop <= stops", "stop < stops")],
  },
  {
    language: "c",
    name: "half.c",
    title: "Half fares in C",
    intent: "Add up half of every fare.",
    student: "T-08",
    program: layers,
    input: "",
    expected: "Half fares: 20\n",
    mended: [layersSecond, layersSecond.replace("totl", "total")],
  },
];
