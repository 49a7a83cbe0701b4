import { describe, expect, test } from "vitest";
import { findLanguage } from "../../languages/languages.ts";
import { instructionsOf } from "./instructions.ts";

/** What a program does, one thing after another, in short: `call fare(n, 2)`, `line 4`, `cost = givenback1`. */
function does(id: string, program: string, goesInto = true): string[] {
  const language = findLanguage(id);
  const made = language && instructionsOf(language, program, goesInto);
  if (!made) throw new Error(id);
  return made.list.flatMap((each): string[] => {
    switch (each.does) {
      case "line":
        return [`line ${each.line}`];
      case "call":
        return [`call ${each.function}(${each.given.join(", ")})`];
      case "assign":
        return [`${each.name} ${each.sign} ${each.value}`];
      case "decide":
        return [`if ${each.condition}`];
      case "print":
        return [`print ${each.values.join(", ")}`];
      case "receive":
        return [`receive ${each.name}`];
      case "give":
        return [`give ${each.value}`];
      case "take":
        return ["take"];
      default:
        return [];
    }
  });
}

const twice = "def twice(km):\n    return km * 2\n\n";

describe("calls of a program's own functions", () => {
  test("inner ones first, each with a row behind it, and their results in their places", () => {
    expect(does("python", `${twice}far = twice(twice(3) + 1) + twice(4)\n`)).toEqual([
      ...["line 4", "call twice(3)", "line 4", "call twice(givenback1 + 1)", "line 4", "call twice(4)", "line 4"],
      "far = givenback2 + givenback3",
      ...["line 1", "receive km", "line 2", "give km * 2", "give null"],
    ]);
  });

  test("in a condition at each pass, in what is printed, in what is given back", () => {
    expect(does("python", `${twice}while twice(far) < 9:\n    print("Km", twice(far))\n`).slice(0, 9)).toEqual([
      ...["line 4", "call twice(far)", "line 4", "if givenback1 < 9"],
      ...["line 5", "call twice(far)", "line 5", "print givenback2", "line 4"],
    ]);
    expect(does("python", `${twice}def more(a):\n    return twice(a) + 1\n\nx = more(3)\n`)).toContain(
      "give givenback2 + 1",
    );
  });

  test("none where it may not be made, where more is handed over than is wanted, or where nobody wants it", () => {
    expect(does("python", `${twice}x = a and twice(3)\n`)).toContain("take");
    expect(does("python", `${twice}x = twice(3) if a else 0\n`)).toContain("take");
    expect(does("python", `${twice}x = [twice(k) for k in y]\n`)).toContain("take");
    expect(does("python", `${twice}x = twice(3, 4)\n`)).toContain("take");
    expect(does("python", `${twice}x = twice(3)\n`, false)).toEqual(["line 4", "take"]);
    // The first value of “and” is always worked out.
    expect(does("python", `${twice}x = twice(3) and a\n`)).toContain("x = givenback1 and a");
  });

  test("a procedure is gone into for what it does; a loop's limit is worked out once, before its first pass", () => {
    const c =
      'int half(int n)\n{\n    return n / 2;\n}\nvoid show(int n)\n{\n    printf("%d", n);\n}\nint main(void)\n{\n    show(half(6));\n    return 0;\n}\n';
    expect(does("c", c).slice(0, 6)).toEqual([
      "line 11",
      "call half(6)",
      "line 11",
      "call show(givenback1)",
      "line 11",
      "line 12",
    ]);
    const pascal =
      "program p;\nvar i: integer;\nfunction most(n: integer): integer;\nbegin\n  most := n + 1;\nend;\nbegin\n  for i := 1 to most(2) do\n    writeln(i);\nend.\n";
    expect(does("pascal", pascal).slice(0, 4)).toEqual(["line 8", "call most(2)", "line 8", "line 9"]);
    expect(does("pascal", pascal)).toContain("give most");
  });
});
