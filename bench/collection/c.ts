import type { RightProgram } from "./program.ts";

/** Right programs in C. */
export const cPrograms: readonly RightProgram[] = [
  {
    name: "fares",
    language: "c",
    text: `#include <stdio.h>

int fare(int age)
{
    if (age < 6)
        return 0;
    else if (age < 16)
        return 3;
    return 7;
}

int main(void)
{
    int people, age, i;
    int total = 0;
    scanf("%d", &people);
    for (i = 0; i < people; i++) {
        scanf("%d", &age);
        total = total + fare(age);
    }
    printf("Total %d\\n", total);
    if (total > 20 && people > 2) {
        printf("Group\\n");
    } else {
        printf("Single\\n");
    }
    return 0;
}
`,
    inputs: ["2\n30\n12\n", "3\n5\n6\n16\n", "4\n20\n30\n15\n60\n", "2\n60\n70\n"],
  },
  {
    name: "tides",
    language: "c",
    text: `#include <stdio.h>

int main(void)
{
    double tides[50];
    double high, sum = 0;
    int n, i, rising = 0;
    scanf("%d", &n);
    for (i = 0; i < n; i++) {
        scanf("%lf", &tides[i]);
    }
    high = tides[0];
    for (i = 0; i < n; i++) {
        if (tides[i] > high) {
            high = tides[i];
        }
        sum += tides[i];
    }
    for (i = 1; i < n; i++) {
        if (tides[i] > tides[i - 1]) {
            rising++;
        }
    }
    printf("High %.1f\\n", high);
    printf("Mean %.2f\\n", sum / n);
    printf("Rising %d\\n", rising);
    return 0;
}
`,
    inputs: ["3\n2.5\n5\n4\n", "4\n-3\n-1\n-2\n-9\n", "1\n7\n"],
  },
  {
    name: "letters",
    language: "c",
    text: `#include <stdio.h>
#include <string.h>

int vowels(char *text)
{
    int count = 0;
    int i;
    for (i = 0; text[i] != '\\0'; i++) {
        if (text[i] == 'a' || text[i] == 'e' || text[i] == 'i') {
            count++;
        }
    }
    return count;
}

int main(void)
{
    char name[40];
    char back[40];
    int i, length;
    scanf("%39s", name);
    length = strlen(name);
    for (i = 0; i < length; i++) {
        back[i] = name[length - 1 - i];
    }
    back[length] = '\\0';
    printf("%s %d\\n", back, length);
    printf("Vowels %d\\n", vowels(name));
    if (strcmp(name, "skua") == 0) {
        printf("Flagship\\n");
    }
    return 0;
}
`,
    inputs: ["skua\n", "kittiwake\n", "a\n"],
  },
  {
    name: "minutes",
    language: "c",
    text: `#include <stdio.h>

int main(void)
{
    int start, every, last, count = 0, now;
    printf("Start, last, every: ");
    scanf("%d %d %d", &start, &last, &every);
    now = start;
    while (now <= last) {
        printf("%d:%02d\\n", now / 60, now % 60);
        now = now + every;
        count++;
    }
    printf("%d crossings\\n", count);
    switch (count) {
    case 0:
        printf("none\\n");
        break;
    case 1:
        printf("one\\n");
        break;
    default:
        printf("many\\n");
    }
    return 0;
}
`,
    inputs: ["480 600 45\n", "480 470 10\n", "61 61 5\n"],
  },
];
