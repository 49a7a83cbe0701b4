import { between, form } from "./generate.ts";
import { testExpressions } from "./testExpressions.ts";

testExpressions("csharp", {
  goesOn: true,
  sorts: ["whole", "real", "truth", "text"],
  values: {
    ...{
      load: { type: "Int32", text: "7" },
      cars: { type: "Int32", text: "-3" },
      top: { type: "Int32", text: "2147483600" },
    },
    ...{
      far: { type: "Int64", text: "5000000000" },
      small: { type: "Byte", text: "200" },
      mid: { type: "Int16", text: "-300" },
    },
    ...{ seats: { type: "UInt32", text: "4" }, sign: { type: "char", text: "'T'" } },
    ...{ fare: { type: "double", text: "2.5" }, tide: { type: "double", text: "-0.1" } },
    ...{ full: { type: "bool", text: "true" }, late: { type: "bool", text: "false" } },
    ...{ boat: { type: "string", text: '"Tern"' }, none: { type: "null", text: "null" } },
    loads: {
      ...{ type: "list", id: 1, shape: "list" },
      items: [4, 9, -2].map((each) => ({ value: { type: "Int32", text: String(each) } })),
    },
  },
  grammar: {
    brackets: 0.4,
    literals: {
      whole: ["load", "cars"],
      real: ["0.5", "1.25", "3.0", "1e3", "0.1"],
      truth: ["true", "false"],
      text: ['"a"', '"deck"', '"q\\"q"'],
    },
    names: {
      whole: [..."load cars top far small mid sign seats".split(" "), "loads[0]", "loads.Length", "boat.Length"],
      real: ["fare", "tide"],
      truth: ["full", "late"],
      text: ["boat"],
    },
    forms: {
      whole: [
        ...between("+ - * / %", ["whole", "whole"]),
        ...[form("({0} & {1})", "whole", "whole"), form("({0} ^ {1})", "whole", "whole")],
        ...[form("({0} + 3)", "whole"), form("({0} * 10)", "whole"), form("{0} % 4", "whole")],
        ...[form("({0} << 2)", "whole"), form("(cars >> 1)"), form("-({0})", "whole"), form("~({0})", "whole")],
        ...[
          form("({0} ? (int) ({1}) : (int) ({2}))", "truth", "whole", "whole"),
          form("(int) ({0})", "whole"),
          form("(byte) ({0})", "whole"),
        ],
        ...[form("(char) ({0})", "whole"), form("(long) ({0})", "whole"), form("(int) ({0} + tide)", "real")],
        ...[form("Math.Max({0}, {1})", "whole", "whole"), form("boat[2]"), form("loads[1]")],
      ],
      real: [
        ...between("+ - * / %", ["real", "real"]),
        ...between("+ - * /", ["whole", "real"]),
        ...[
          form("-({0})", "real"),
          form("(double) ({0})", "whole"),
          form("({0} ? {1} : {2})", "truth", "whole", "real"),
        ],
        ...[form("Math.Floor({0})", "real"), form("Math.Min({0}, {1})", "real", "real")],
      ],
      truth: [
        ...["<", "<=", ">", ">=", "==", "!="].map((sign) => form(`(0 + ({0}) ${sign} {1})`, "whole", "whole")),
        ...["<", ">=", "=="].map((sign) => form(`(0 + ({0}) ${sign} {1})`, "real", "whole")),
        ...between("&& || & | ^ == !=", ["truth", "truth"]),
        ...[form("!({0})", "truth"), form("(({0}) == ({1}))", "text", "text"), form("boat.Contains({0})", "text")],
        form("(boat == null)"),
      ],
      text: [
        ...[
          form("({0} + {1})", "text", "text"),
          form("({0} + ({1}))", "text", "whole"),
          form("(({0}) + {1})", "real", "text"),
        ],
        ...[
          form("({0} + ({1}) + ({2}))", "text", "whole", "whole"),
          form("(({0}) + ({1}) + {2})", "whole", "whole", "text"),
        ],
        ...[form("({0} + ({1}))", "text", "truth"), form("({0} + none)", "text"), form("boat.Substring(1, 2)")],
        ...[
          form("({0} ? {1} : {2})", "truth", "text", "text"),
          form("({0}).ToUpper()", "text"),
          form("(none ?? {0})", "text"),
        ],
      ],
    },
  },
  program: (expressions) => `using System;
using System.Globalization;

class Deck
{
    static int load = 7, cars = -3, top = 2147483600;
    static long far = 5000000000;
    static byte small = 200;
    static short mid = -300;
    static uint seats = 4;
    static char sign = 'T';
    static double fare = 2.5, tide = -0.1;
    static bool full = true, late = false;
    static string boat = "Tern", none = null;
    static int[] loads = { 4, 9, -2 };

    static void Show(int number, Func<object> work)
    {
        object value;
        try { value = work(); }
        catch (Exception problem) { Console.WriteLine(number + " stopped " + problem.GetType().Name); return; }
        if (value is bool) Console.WriteLine(number + " truth " + ((bool)value ? 1 : 0));
        else if (value is char) Console.WriteLine(number + " letter " + (int)(char)value);
        else if (value is string) Console.WriteLine(number + " text " + value);
        else if (value is double || value is float)
            Console.WriteLine(number + " real " + Convert.ToDouble(value).ToString("R", CultureInfo.InvariantCulture));
        else Console.WriteLine(number + " whole " + value);
    }

    static void Main()
    {
${expressions.map((expression, number) => `        Show(${number}, () => ${expression});`).join("\n")}
    }
}
`,
});
