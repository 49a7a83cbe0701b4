import { slipsOf } from "../../edits/slipsOf.ts";

/** Statements in the main part of a program. */
const inMain = (body: string) =>
  `import java.util.*;
public class Main {
    public static void main(String[] args) {
` +
  body.replace(/^(?=.)/gm, "        ") +
  `
    }
}`;

// Each was found and proved by a search in real runs before it was written down.
slipsOf("java", [
  [
    "refused",
    "name",
    inMain(`string s = "Tern";
System.out.println(s);`),
    'string s = "Tern";',
    'String s = "Tern";',
  ],
  [
    "refused",
    "other-forms",
    inMain(`ArrayList<String> q = ArrayList<>();
q.add("a");
System.out.println(q);`),
    "ArrayList<String> q = ArrayList<>();",
    "ArrayList<String> q = new ArrayList<>();",
  ],
  [
    "refused",
    "text-or-number",
    inMain(`int x = "5";
System.out.println(x + 1);`),
    'int x = "5";',
    "int x = 5;",
  ],
  [
    "refused",
    "quote",
    inMain(`String s = 'Tern';
System.out.println(s);`),
    "String s = 'Tern';",
    'String s = "Tern";',
  ],
  [
    "refused",
    "other-forms",
    `public class Main {
    static twice(int x) {
        return 2 * x;
    }
    public static void main(String[] args) {
        System.out.println(twice(4));
    }
}`,
    "static twice(int x) {",
    "static int twice(int x) {",
  ],
  [
    "refused",
    "other-forms",
    `public class Main {
    public static main(String[] args) {
        System.out.println(8);
    }
}`,
    "public static main(String[] args) {",
    "public static void main(String[] args) {",
  ],
  [
    "refused",
    "other-forms",
    inMain(`for (int i = 0, i < 3, i++) {
    System.out.println(i);
}`),
    "for (int i = 0, i < 3, i++) {",
    "for (int i = 0; i < 3; i++) {",
  ],
  [
    "refused",
    "bracket",
    inMain(`int x = 4;
if x > 3 {
    System.out.println(x);
}`),
    "if x > 3 {",
    "if (x > 3) {",
  ],
  [
    "refused",
    "call-brackets",
    inMain(`int[] a = {1, 2};
System.out.println(a.length());`),
    "System.out.println(a.length());",
    "System.out.println(a.length);",
  ],
  [
    "refused",
    "call-brackets",
    inMain(`String s = "Tern";
System.out.println(s.length);`),
    "System.out.println(s.length);",
    "System.out.println(s.length());",
  ],
  [
    "refused",
    "extra-statement",
    `public class Main {
    static int f(int x) {
        return x;
        System.out.println(x);
    }
    public static void main(String[] args) {
        System.out.println(f(4));
    }
}`,
    `    System.out.println(x);
    }`,
    "}",
  ],
  [
    "refused",
    "inclusion",
    `public class Main {
    public static void main(String[] args) {
        Scanner in = new Scanner(System.in);
        System.out.println(in.nextInt() + 1);
    }
}`,
    "public class Main {",
    `import java.util.*;
public class Main {`,
  ],
  [
    "refused",
    "other-forms",
    inMain(`int x = 3;
int x = x + 1;
System.out.println(x);`),
    "int x = x + 1;",
    "x = x + 1;",
  ],
  [
    "refused",
    "first-value",
    inMain(`int x;
if (args.length > 0) x = 1;
System.out.println(x + 1);`),
    "int x;",
    "int x = 0;",
  ],
  [
    "refused",
    "quote",
    inMain(`System.out.println("Tern);`),
    'System.out.println("Tern);',
    'System.out.println("Tern");',
  ],
  [
    "starts",
    "empty-test",
    inMain(`String s = null;
if (s.equals("a")) System.out.println("a");
else System.out.println("b");`),
    'if (s.equals("a")) System.out.println("a");',
    'if (s != null && s.equals("a")) System.out.println("a");',
  ],
  [
    "refused",
    "sign",
    inMain(`int x = 4;
if (x = 4) System.out.println("four");`),
    'if (x = 4) System.out.println("four");',
    'if (x == 4) System.out.println("four");',
  ],
  [
    "refused",
    "other-forms",
    inMain(`System.out.println("a") System.out.println("b");`),
    'System.out.println("a") System.out.println("b");',
    'System.out.println("a"); System.out.println("b");',
  ],
  [
    "refused",
    "other-forms",
    inMain(`int x = 7;
String s = x > 5 ? "big" ; "small";
System.out.println(s);`),
    'String s = x > 5 ? "big" ; "small";',
    'String s = x > 5 ? "big" : "small";',
  ],
  [
    "refused",
    "terminator",
    inMain(`int x = 3;
if (x == 3); {
    System.out.println("three");
} else {
    System.out.println("no");
}`),
    "if (x == 3); {",
    "if (x == 3) {",
  ],
  [
    "refused",
    "terminator",
    inMain(`String s = "a";
if (s == "a") System.out.println("a")
System.out.println("b");`),
    'if (s == "a") System.out.println("a")',
    'if (s == "a") System.out.println("a");',
  ],
  [
    "refused",
    "other-forms",
    inMain(`int[] a = {1, 2, 3};
for (int i = 0; i < a.length; i++ {
    System.out.println(a[i]);
}`),
    "for (int i = 0; i < a.length; i++ {",
    "for (int i = 0; i < a.length; i++) {",
  ],
  [
    "refused",
    "other-forms",
    inMain(`int[] a = new int[3];
a = {1, 2, 3};
System.out.println(a[0]);`),
    "a = {1, 2, 3};",
    "a = new int[] {1, 2, 3};",
  ],
  [
    "refused",
    "declaration",
    `public class Main {
    int twice(int x) {
        return 2 * x;
    }
    public static void main(String[] args) {
        System.out.println(twice(4));
    }
}`,
    "int twice(int x) {",
    "static int twice(int x) {",
  ],
  [
    "refused",
    "other-forms",
    `public class Main {
    static int twice(x) {
        return 2 * x;
    }
    public static void main(String[] args) {
        System.out.println(twice(4));
    }
}`,
    "static int twice(x) {",
    "static int twice(int x) {",
  ],
  [
    "refused",
    "declaration",
    `public class Main {
    static void twice(int x) {
        return 2 * x;
    }
    public static void main(String[] args) {
        System.out.println(twice(4));
    }
}`,
    "static void twice(int x) {",
    "static int twice(int x) {",
  ],
  [
    "refused",
    "other-forms",
    inMain(`long x = 3000000000;
System.out.println(x);`),
    "long x = 3000000000;",
    "long x = 3000000000L;",
  ],
  [
    "refused",
    "declaration",
    inMain(`float x = 2.5;
System.out.println(x);`),
    "float x = 2.5;",
    "double x = 2.5;",
  ],
  [
    "refused",
    "terminator",
    inMain(`int x = 5
int y = 6;
System.out.println(x + y);`),
    "int x = 5",
    "int x = 5;",
  ],
  [
    "starts",
    "leaving",
    inMain(`int x = 4;
switch (x) {
    case 4: System.out.println("four");
    default: System.out.println("other");
}`),
    'case 4: System.out.println("four");',
    'case 4: System.out.println("four"); break;',
  ],
  [
    "refused",
    "bracket",
    inMain(`System.out.println("a" + "b";`),
    'System.out.println("a" + "b";',
    'System.out.println("a" + "b");',
  ],
  ["refused", "name", inMain(`system.out.println("a");`), 'system.out.println("a");', 'System.out.println("a");'],
  [
    "starts",
    "other-forms",
    inMain(`System.out.println('a' + 'b');`),
    "System.out.println('a' + 'b');",
    "System.out.println(\"a\" + 'b');",
  ],
  [
    "refused",
    "other-forms",
    inMain(`List<int> xs = new ArrayList<>();
xs.add(3);
System.out.println(xs);`),
    "List<int> xs = new ArrayList<>();",
    "List<Integer> xs = new ArrayList<>();",
  ],
  [
    "refused",
    "other-forms",
    inMain(`Scanner in = new Scanner();
System.out.println(in.nextInt());`),
    "Scanner in = new Scanner();",
    "Scanner in = new Scanner(System.in);",
  ],
  [
    "refused",
    "sign",
    inMain(`int x = 3;
System.out.println("x is " x);`),
    'System.out.println("x is " x);',
    'System.out.println("x is " + x);',
  ],
  [
    "refused",
    "word",
    inMain(`boolean full = True;
System.out.println(full);`),
    "boolean full = True;",
    "boolean full = true;",
  ],
  [
    "refused",
    "other-forms",
    inMain(`int x = 10;
if (3 < x < 20) System.out.println("in");`),
    'if (3 < x < 20) System.out.println("in");',
    'if (3 < x && x < 20) System.out.println("in");',
  ],
  [
    "refused",
    "word",
    inMain(`int x = 10;
if (x > 3 and x < 20) System.out.println("in");`),
    'if (x > 3 and x < 20) System.out.println("in");',
    'if (x > 3 && x < 20) System.out.println("in");',
  ],
  [
    "refused",
    "other-forms",
    `public class Main {
    public static void main(String args) {
        System.out.println(3);
    }
}`,
    "public static void main(String args) {",
    "public static void main(String[] args) {",
  ],
  [
    "starts",
    "other-name",
    inMain(`int[] a = {3, 1, 2};
int max = 0;
for (int i : a)
    if (i > max) max = a[i];
System.out.println(max);`),
    "if (i > max) max = a[i];",
    "if (i > max) max = i;",
  ],
  [
    "refused",
    "other-forms",
    inMain(`String s = "Tern";
for (int i = 0; i < s.length(); i++)
    System.out.print(s[i]);
System.out.println();`),
    "System.out.print(s[i]);",
    "System.out.print(s.charAt(i));",
  ],
  [
    "refused",
    "word",
    inMain(`Int x = 5;
System.out.println(x);`),
    "Int x = 5;",
    "int x = 5;",
  ],
  [
    "refused",
    "terminator",
    `public class Main {
    static int f(int x) {
        return x * 2
    }
    public static void main(String[] args) {
        System.out.println(f(3));
    }
}`,
    "return x * 2",
    "return x * 2;",
  ],
  [
    "refused",
    "declaration",
    `public class Main {
    static String f(int x) {
        return x;
    }
    public static void main(String[] args) {
        System.out.println(f(3));
    }
}`,
    "static String f(int x) {",
    "static int f(int x) {",
  ],
  [
    "starts",
    "block-marks",
    inMain(`int n = 3;
while (n > 0)
    System.out.println(n);
    n--;`),
    `System.out.println(n);
            n--;`,
    `{ System.out.println(n);
            n--; }`,
  ],
  [
    "refused",
    "terminator",
    inMain(`int n = 3;
do {
    System.out.println(n);
    n--;
} while (n > 0)`),
    "} while (n > 0)",
    "} while (n > 0);",
  ],
  [
    "starts",
    "conversion",
    inMain(`double d = 7 / 2;
System.out.println(d);`),
    "double d = 7 / 2;",
    "double d = (double) 7 / 2;",
  ],
  [
    "refused",
    "other-forms",
    inMain(`ArrayList<Integer> xs = new ArrayList<>();
xs.add(4);
System.out.println(xs[0]);`),
    "System.out.println(xs[0]);",
    "System.out.println(xs.get(0));",
  ],
  [
    "refused",
    "first-value",
    inMain(`int total;
for (int i = 1; i <= 3; i++) total += i;
System.out.println(total);`),
    "int total;",
    "int total = 0;",
  ],
  [
    "refused",
    "bracket",
    inMain(`if (args.length == 0) {
    System.out.println("none");
else {
    System.out.println("some");
}`),
    "else {",
    "} else {",
  ],
  [
    "refused",
    "declaration",
    `public class Main {
    public void main(String[] args) {
        System.out.println(3);
    }
}`,
    "public void main(String[] args) {",
    "public static void main(String[] args) {",
  ],
  [
    "refused",
    "name",
    `import java.util.scanner;
public class Main {
    public static void main(String[] args) {
        System.out.println(3);
    }
}`,
    "import java.util.scanner;",
    "import java.util.Scanner;",
  ],
  [
    "starts",
    "own-object",
    `class Boat {
    String name;
    Boat(String name) {
        name = name;
    }
}
public class Main {
    public static void main(String[] args) {
        System.out.println(new Boat("Tern").name);
    }
}`,
    "name = name;",
    "this.name = name;",
  ],
]);
