import { slipsOf } from "../../edits/slipsOf.ts";

/** Statements in the main part of a program. */
const inMain = (body: string) =>
  `using System;
class Program {
    static void Main() {
` +
  body.replace(/^(?=.)/gm, "        ") +
  `
    }
}`;

// Each was found and proved by a search in real runs before it was written down.
slipsOf("csharp", [
  [
    "refused",
    "conversion",
    inMain(`int x = Console.ReadLine();
Console.WriteLine(x + 1);`),
    "int x = Console.ReadLine();",
    "int x = int.Parse(Console.ReadLine());",
  ],
  [
    "refused",
    "inclusion",
    `class Program {
    static void Main() {
        Console.WriteLine("a");
    }
}`,
    "class Program {",
    `using System;
class Program {`,
  ],
  [
    "refused",
    "quote",
    inMain(`string s = 'Tern';
Console.WriteLine(s);`),
    "string s = 'Tern';",
    'string s = "Tern";',
  ],
  [
    "refused",
    "other-forms",
    inMain(`int[] xs = {1, 2};
foreach (int x of xs) Console.WriteLine(x);`),
    "foreach (int x of xs) Console.WriteLine(x);",
    "foreach (int x in xs) Console.WriteLine(x);",
  ],
  [
    "refused",
    "other-forms",
    inMain(`int[] xs = {1, 2};
for (int i = 0; i < xs.length; i++) Console.WriteLine(xs[i]);`),
    "for (int i = 0; i < xs.length; i++) Console.WriteLine(xs[i]);",
    "for (int i = 0; i < xs.Length; i++) Console.WriteLine(xs[i]);",
  ],
  [
    "refused",
    "terminator",
    inMain(`int x = 5;
if (x > 3) 
    Console.WriteLine("a")
else
    Console.WriteLine("b");`),
    'Console.WriteLine("a")',
    'Console.WriteLine("a");',
  ],
  [
    "refused",
    "inclusion",
    inMain(`var xs = new List<int>();
xs.Add(3);
Console.WriteLine(xs.Count);`),
    "using System;",
    `using System.Collections.Generic;
using System;`,
  ],
  [
    "refused",
    "terminator",
    inMain(`String s = "a"
Console.WriteLine(s);`),
    'String s = "a"',
    'String s = "a";',
  ],
  [
    "refused",
    "conversion",
    inMain(`double x = 2.5;
int y = x;
Console.WriteLine(y);`),
    "int y = x;",
    "int y = (int)x;",
  ],
  [
    "refused",
    "word",
    inMain(`boolean full = true;
Console.WriteLine(full);`),
    "boolean full = true;",
    "bool full = true;",
  ],
  [
    "refused",
    "conversion",
    inMain(`string s = "3";
Console.WriteLine(s * 2);`),
    "Console.WriteLine(s * 2);",
    "Console.WriteLine(int.Parse(s) * 2);",
  ],
  [
    "refused",
    "sign",
    inMain(`int x = 3;
if (x = 3) Console.WriteLine("three");`),
    'if (x = 3) Console.WriteLine("three");',
    'if (x == 3) Console.WriteLine("three");',
  ],
  [
    "refused",
    "call-brackets",
    inMain(`int x = int.Parse(Console.ReadLine);
Console.WriteLine(x);`),
    "int x = int.Parse(Console.ReadLine);",
    "int x = int.Parse(Console.ReadLine());",
  ],
  [
    "refused",
    "leaving",
    inMain(`int x = 4;
switch (x) {
    case 4: Console.WriteLine("four");
    default: Console.WriteLine("other"); break;
}`),
    'case 4: Console.WriteLine("four");',
    'case 4: Console.WriteLine("four"); break;',
  ],
  [
    "refused",
    "declaration",
    `using System;
class Program {
    int Twice(int x) { return 2 * x; }
    static void Main() {
        Console.WriteLine(Twice(4));
    }
}`,
    "int Twice(int x) { return 2 * x; }",
    "static int Twice(int x) { return 2 * x; }",
  ],
  [
    "starts",
    "other-forms",
    inMain(`Console.WriteLine("x is {0}" + 3);`),
    'Console.WriteLine("x is {0}" + 3);',
    'Console.WriteLine("x is {0}", 3);',
  ],
  [
    "starts",
    "filled-in",
    inMain(`int x = 3;
Console.WriteLine("x is {x}");`),
    'Console.WriteLine("x is {x}");',
    'Console.WriteLine($"x is {x}");',
  ],
  [
    "refused",
    "declaration",
    inMain(`float x = 2.5;
Console.WriteLine(x);`),
    "float x = 2.5;",
    "double x = 2.5;",
  ],
  ["refused", "other-forms", inMain(`Console.WriteLine("a"):`), 'Console.WriteLine("a"):', 'Console.WriteLine("a");'],
  [
    "refused",
    "bracket",
    inMain(`for (int i = 0; i < 3; i++)
{
    Console.WriteLine(i);`),
    "}",
    `}
}`,
  ],
  [
    "starts",
    "comparison",
    inMain(`int[] xs = {3, 4};
for (int i = 0; i <= xs.Length; i++) Console.WriteLine(xs[i]);`),
    "for (int i = 0; i <= xs.Length; i++) Console.WriteLine(xs[i]);",
    "for (int i = 0; i < xs.Length; i++) Console.WriteLine(xs[i]);",
  ],
  [
    "refused",
    "other-forms",
    inMain(`string s = Console.ReadLine();
if (s == 'y') Console.WriteLine("yes");`),
    "if (s == 'y') Console.WriteLine(\"yes\");",
    'if (s == "y") Console.WriteLine("yes");',
  ],
  [
    "refused",
    "name",
    inMain(`int x = Convert.ToInt(Console.ReadLine());
Console.WriteLine(x);`),
    "int x = Convert.ToInt(Console.ReadLine());",
    "int x = Convert.ToInt32(Console.ReadLine());",
  ],
  [
    "refused",
    "returned",
    `using System;
class Program {
    static int Twice(int x) {
        x * 2;
    }
    static void Main() {
        Console.WriteLine(Twice(4));
    }
}`,
    "x * 2;",
    "return x * 2;",
  ],
  [
    "refused",
    "first-value",
    inMain(`int x;
Console.WriteLine(x);`),
    "int x;",
    "int x = 0;",
  ],
  [
    "refused",
    "other-forms",
    inMain(`const int x = 3;
x = 4;
Console.WriteLine(x);`),
    "const int x = 3;",
    "int x = 3;",
  ],
  [
    "refused",
    "bracket",
    inMain(`int x = 5;
if x > 3
    Console.WriteLine("a");`),
    "if x > 3",
    "if (x > 3)",
  ],
  ["refused", "other-forms", inMain(`Console.WriteLine("a)";`), 'Console.WriteLine("a)";', 'Console.WriteLine("a");'],
  [
    "refused",
    "other-forms",
    inMain(`var xs = new int[2];
xs[0] = 1;
foreach (x in xs) Console.WriteLine(x);`),
    "foreach (x in xs) Console.WriteLine(x);",
    "foreach (var x in xs) Console.WriteLine(x);",
  ],
]);
