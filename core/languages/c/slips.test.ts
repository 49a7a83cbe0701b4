import { slipsOf } from "../../edits/slipsOf.ts";

/** Statements in the main part of a program. */
const inMain = (body: string) =>
  `#include <stdio.h>
int main(void) {
` +
  body.replace(/^(?=.)/gm, "    ") +
  `
    return 0;
}`;

// Each was found and proved by a search in real runs before it was written down.
slipsOf("c", [
  [
    "refused",
    "sign",
    inMain(`int x = 3;
printf("%d\\n" x);`),
    'printf("%d\\n" x);',
    'printf("%d\\n", x);',
  ],
  [
    "starts",
    "address-sign",
    inMain(`int x;
scanf("%d", x);
printf("%d\\n", x);`),
    'scanf("%d", x);',
    'scanf("%d", &x);',
  ],
  [
    "refused",
    "declaration",
    `#include <stdio.h>
void f(void) {
    return 3;
}
int main(void) {
    printf("%d\\n", f());
    return 0;
}`,
    "void f(void) {",
    "int f(void) {",
  ],
  [
    "refused",
    "quote",
    inMain(`char s[] = 'Tern';
printf("%s\\n", s);`),
    "char s[] = 'Tern';",
    'char s[] = "Tern";',
  ],
  [
    "refused",
    "other-forms",
    inMain(`string s = "Tern";
printf("%s\\n", s);`),
    'string s = "Tern";',
    'char s[] = "Tern";',
  ],
  [
    "refused",
    "other-forms",
    inMain(`int x = 4;
if (x > 3 && < 9) {
    printf("in\\n");
}`),
    "if (x > 3 && < 9) {",
    "if (x > 3 && x < 9) {",
  ],
  [
    "refused",
    "bracket",
    inMain(`int x = 4;
if (x > 3) {
    printf("in\\n");
`),
    "}",
    `}
}`,
  ],
  [
    "refused",
    "other-forms",
    inMain(`int a[3] = {1, 2, 3};
for (int i = 0; i < a.length; i++) printf("%d\\n", a[i]);`),
    'for (int i = 0; i < a.length; i++) printf("%d\\n", a[i]);',
    'for (int i = 0; i < (int)(sizeof a / sizeof a[0]); i++) printf("%d\\n", a[i]);',
  ],
  [
    "refused",
    "other-forms",
    inMain(`char s[10];
s = "Tern";
printf("%s\\n", s);`),
    's = "Tern";',
    'strcpy(s, "Tern");',
  ],
  [
    "starts",
    "format-letter",
    inMain(`int x = 5;
printf("%s\\n", x);`),
    'printf("%s\\n", x);',
    'printf("%d\\n", x);',
  ],
  [
    "starts",
    "conversion",
    inMain(`float x = 7 / 2;
printf("%.1f\\n", x);`),
    "float x = 7 / 2;",
    "float x = (double)7 / 2;",
  ],
  [
    "refused",
    "other-forms",
    `include <stdio.h>
int main(void) {
    printf("a\\n");
    return 0;
}`,
    "include <stdio.h>",
    "#include <stdio.h>",
  ],
  [
    "refused",
    "name",
    `#include <stdoi.h>
int main(void) {
    printf("a\\n");
    return 0;
}`,
    "#include <stdoi.h>",
    "#include <stdio.h>",
  ],
  [
    "starts",
    "empty-body",
    inMain(`int n = 3;
for (int i = 0; i < n; i++);
{
    printf("x");
}
printf("\\n");`),
    "for (int i = 0; i < n; i++);",
    "for (int i = 0; i < n; i++)",
  ],
  [
    "refused",
    "inclusion",
    inMain(`bool full = true;
if (full) printf("full\\n");`),
    "#include <stdio.h>",
    `#include <stdbool.h>
#include <stdio.h>`,
  ],
  [
    "refused",
    "terminator",
    inMain(`int x = 3
printf("%d\\n", x);`),
    "int x = 3",
    "int x = 3;",
  ],
  [
    "refused",
    "bracket",
    inMain(`for (int i = 0; i < 3; i++) {
    printf("%d\\n", i);`),
    "return 0;",
    `}
    return 0;`,
  ],
  [
    "refused",
    "moved",
    inMain(`printf("%d\\n", total);
int total = 3;`),
    `printf("%d\\n", total);
    int total = 3;`,
    `int total = 3;
    printf("%d\\n", total);`,
  ],
  [
    "starts",
    "format-letter",
    inMain(`float x = 2.5;
printf("%d\\n", x);`),
    'printf("%d\\n", x);',
    'printf("%f\\n", x);',
  ],
  [
    "refused",
    "other-blocks",
    inMain(`int x = 5;
if (x > 3) then printf("a\\n");`),
    'if (x > 3) then printf("a\\n");',
    'if (x > 3) printf("a\\n");',
  ],
  [
    "refused",
    "terminator",
    inMain(`printf("a\\n")
printf("b\\n");`),
    'printf("a\\n")',
    'printf("a\\n");',
  ],
  [
    "starts",
    "other-forms",
    inMain(`printf('a');
printf("\\n");`),
    "printf('a');",
    'printf("a");',
  ],
  [
    "starts",
    "block-marks",
    inMain(`int n = 3;
while (n > 0)
    printf("%d\\n", n);
    n--;`),
    `printf("%d\\n", n);
        n--;`,
    `{ printf("%d\\n", n);
        n--; }`,
  ],
  [
    "starts",
    "conversion",
    inMain(`double x = 1/3;
printf("%.2f\\n", x);`),
    "double x = 1/3;",
    "double x = (double)1/3;",
  ],
  [
    "refused",
    "terminator",
    `#include <stdio.h>
struct Boat {
    int cars;
}
int main(void) {
    struct Boat b = {3};
    printf("%d\\n", b.cars);
    return 0;
}`,
    "}",
    "};",
  ],
  [
    "refused",
    "other-forms",
    `#include <stdio.h>
struct Boat {
    int cars;
};
int main(void) {
    Boat b = {3};
    printf("%d\\n", b.cars);
    return 0;
}`,
    "Boat b = {3};",
    "struct Boat b = {3};",
  ],
  [
    "refused",
    "sign",
    `#include <stdio.h>
struct Boat {
    int cars;
};
int main(void) {
    struct Boat b = {3};
    struct Boat *p = &b;
    printf("%d\\n", p.cars);
    return 0;
}`,
    'printf("%d\\n", p.cars);',
    'printf("%d\\n", p->cars);',
  ],
  [
    "refused",
    "terminator",
    inMain(`int i
for (i = 0; i < 3; i++)
    printf("%d\\n", i);`),
    "int i",
    "int i;",
  ],
  [
    "refused",
    "quote",
    inMain(`int x = 3;
printf("%d\\n, x);`),
    'printf("%d\\n, x);',
    'printf("%d\\n", x);',
  ],
  [
    "refused",
    "other-forms",
    `#include <stdio.h>
int add(int a, b) {
    return a + b;
}
int main(void) {
    printf("%d\\n", add(1, 2));
    return 0;
}`,
    "int add(int a, b) {",
    "int add(int a, int b) {",
  ],
  [
    "starts",
    "constant",
    inMain(`char s[4] = "Tern";
printf("%s!\\n", s);`),
    'char s[4] = "Tern";',
    'char s[5] = "Tern";',
  ],
  [
    "starts",
    "conversion",
    inMain(`int x = 10, y = 4;
float r = x / y;
printf("%.2f\\n", r);`),
    "float r = x / y;",
    "float r = (double)x / y;",
  ],
  [
    "refused",
    "sign",
    inMain(`for (int i = 0; i < 3; i++) {
    printf("%d\\n", i);
}}`),
    "}}",
    "}",
  ],
  [
    "refused",
    "name",
    `#include <stdio.h>
main() {
    Printf("a\\n");
}`,
    'Printf("a\\n");',
    'printf("a\\n");',
  ],
  [
    "refused",
    "colon",
    inMain(`int x = 3;
switch (x) {
    case 3
        printf("three\\n");
        break;
}`),
    "case 3",
    "case 3:",
  ],
]);
