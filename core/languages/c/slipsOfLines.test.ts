import { slipsIn, slipsOf } from "../../edits/slipsOf.ts";

const deck = `#include <stdio.h>
#include <string.h>

struct Boat {
    char name[20];
    int cars;
};

int heaviest(int loads[], int count) {
    int most = loads[0];
    for (int i = 1; i < count; i++) {
        if (loads[i] > most) {
            most = loads[i];
        }
    }
    return most;
}

int main(void) {
    int loads[3] = {4, 9, 2};
    struct Boat tern = {"Tern", 3};
    struct Boat *first = &tern;
    int turns;
    double fare = 2.5;
    scanf("%d", &turns);
    while (turns > 0) {
        turns = turns - 1;
    }
    if (strcmp(tern.name, "Tern") == 0 && first->cars > 2) {
        printf("Heaviest %d\\n", heaviest(loads, 3));
    } else {
        printf("%.1f\\n", fare);
    }
    return 0;
}
`;

// As beginners write them who know another language, or none yet.
slipsOf("c", [
  ...slipsIn(deck, [
    ["refused", "inclusion", "#include <stdio.h>\n", ""],
    ["refused", "other-forms", "#include <stdio.h>", "include <stdio.h>"],
    ["refused", "other-forms", "#include <stdio.h>", "#include stdio.h"],
    ["refused", "name", "#include <stdio.h>", "#include <studio.h>"],
    ["refused", "terminator", "    int cars;\n};", "    int cars;\n}"],
    ["refused", "other-forms", "struct Boat tern", "Boat tern"],
    ["refused", "other-forms", "struct Boat *first = &tern;", "struct Boat *first = tern;"],
    ["refused", "other-forms", "struct Boat *first = &tern;", "struct Boat first = &tern;"],
    ["refused", "sign", "first->cars", "first.cars"],
    ["refused", "sign", "tern.name", "tern->name"],
    ["refused", "other-forms", "for (int i = 1; i < count; i++) {", "for (int i = 1, i < count, i++) {"],
    ["refused", "declaration", "for (int i = 1; i < count; i++) {", "for (i = 1; i < count; i++) {"],
    ["refused", "bracket", "for (int i = 1; i < count; i++) {", "for int i = 1; i < count; i++ {"],
    ["refused", "other-forms", "for (int i = 1; i < count; i++) {", "for (int i = 1; i < count; i++ {"],
    ["refused", "comparison", "for (int i = 1; i < count; i++) {", "for (int i = 1; i <= count; i++) {"],
    ["refused", "accumulation", "for (int i = 1; i < count; i++) {", "for (int i = 1; i < count; i--) {"],
    ["refused", "bracket", "if (loads[i] > most) {", "if (loads[i] > most)"],
    ["refused", "other-forms", "if (loads[i] > most) {", "if (loads(i) > most) {"],
    ["refused", "bracket", "if (loads[i] > most) {", "if loads[i] > most {"],
    ["refused", "other-forms", "if (loads[i] > most) {", "if (loads[i] > most):"],
    ["refused", "terminator", "if (loads[i] > most) {", "if (loads[i] > most); {"],
    ["refused", "equality-sign", "most = loads[i];", "most == loads[i];"],
    ["refused", "index-left-out", "most = loads[i];", "most = loads;"],
    ["refused", "other-name", "most = loads[i];", "most = i;"],
    ["refused", "swapped", "most = loads[i];", "loads[i] = most;"],
    ["refused", "returned", "    return most;\n", ""],
    ["refused", "terminator", "return most;", "return most"],
    ["refused", "other-name", "return most;", "return loads;"],
    ["refused", "result-type", "int heaviest(int loads[], int count) {", "void heaviest(int loads[], int count) {"],
    ["refused", "other-forms", "int heaviest(int loads[], int count) {", "int heaviest(int loads[] int count) {"],
    ["refused", "other-forms", "int heaviest(int loads[], int count) {", "int heaviest(int loads[], count) {"],
    ["refused", "other-forms", "int heaviest(int loads[], int count) {", "int heaviest(int loads, int count) {"],
    ["refused", "other-forms", "int loads[3] = {4, 9, 2};", "int loads[3] = [4, 9, 2];"],
    ["refused", "constant", "int loads[3] = {4, 9, 2};", "int loads[2] = {4, 9, 2};"],
    ["refused", "declaration", "double fare = 2.5;", "int fare = 2.5;"],
    ["refused", "text-or-number", "double fare = 2.5;", 'double fare = "2.5";'],
    ["refused", "address-sign", 'scanf("%d", &turns);', 'scanf("%d", turns);'],
    ["refused", "format-letter", 'scanf("%d", &turns);', 'scanf("%f", &turns);'],
    ["refused", "other-forms", 'scanf("%d", &turns);', "scanf(%d, &turns);"],
    ["refused", "other-forms", 'scanf("%d", &turns);', 'scanf("%d" &turns);'],
    ["refused", "other-blocks", "while (turns > 0) {", "while (turns > 0) do {"],
    ["refused", "bracket", "while (turns > 0) {", "while turns > 0 {"],
    ["refused", "other-forms", "turns = turns - 1;", "turns - 1;"],
    ["refused", "arithmetic", "turns = turns - 1;", "turns = turns + 1;"],
    ["refused", "equality-sign", "turns = turns - 1;", "turns == turns - 1;"],
    ["refused", "equal-texts", 'strcmp(tern.name, "Tern") == 0', 'tern.name == "Tern"'],
    ["refused", "equal-texts", 'strcmp(tern.name, "Tern") == 0', 'strcmp(tern.name, "Tern")'],
    ["refused", "text-or-number", 'strcmp(tern.name, "Tern") == 0', "strcmp(tern.name, Tern) == 0"],
    ["refused", "word", "&&", "and"],
    ["refused", "logic-word", "&&", "&"],
    [
      "refused",
      "format-letter",
      'printf("Heaviest %d\\n", heaviest(loads, 3));',
      'printf("Heaviest %s\\n", heaviest(loads, 3));',
    ],
    [
      "refused",
      "other-forms",
      'printf("Heaviest %d\\n", heaviest(loads, 3));',
      'printf("Heaviest %d\\n" heaviest(loads, 3));',
    ],
    [
      "refused",
      "other-forms",
      'printf("Heaviest %d\\n", heaviest(loads, 3));',
      'printf("Heaviest %d\\n", heaviest(loads[], 3));',
    ],
    [
      "refused",
      "other-forms",
      'printf("Heaviest %d\\n", heaviest(loads, 3));',
      'print("Heaviest %d\\n", heaviest(loads, 3));',
    ],
    [
      "refused",
      "other-forms",
      'printf("Heaviest %d\\n", heaviest(loads, 3));',
      "printf(Heaviest %d\\n, heaviest(loads, 3));",
    ],
    ["refused", "bracket", "} else {", "else {"],
    ["refused", "other-forms", "} else {", "} else if {"],
    ["refused", "other-forms", "int main(void) {", "main(void) {"],
    ["refused", "name", "int main(void) {", "int Main(void) {"],
    ["refused", "bracket", "int main(void) {", "int main(void)"],
  ]),
]);
