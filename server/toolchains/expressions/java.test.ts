import { between, form } from "./generate.ts";
import { type Spoken, testExpressions } from "./testExpressions.ts";

const java: Spoken = {
  goesOn: true,
  sorts: ["whole", "real", "truth", "text"],
  values: {
    ...{
      load: { type: "Integer", text: "7" },
      cars: { type: "Integer", text: "-3" },
      top: { type: "Integer", text: "2147483600" },
    },
    ...{
      far: { type: "Long", text: "5000000000" },
      small: { type: "Byte", text: "-100" },
      mid: { type: "Short", text: "300" },
    },
    ...{
      sign: { type: "char", text: "'T'" },
      fare: { type: "Double", text: "2.5" },
      tide: { type: "Float", text: "-0.1" },
    },
    ...{ full: { type: "Boolean", text: "true" }, late: { type: "Boolean", text: "false" } },
    ...{ boat: { type: "String", text: '"Tern"' }, none: { type: "null", text: "null" } },
    loads: {
      ...{ type: "list", id: 1, shape: "list" },
      items: [4, 9, -2].map((each) => ({ value: { type: "Integer", text: String(each) } })),
    },
  },
  grammar: {
    brackets: 0.4,
    literals: {
      whole: ["0", "1", "2", "3", "10", "0x1F", "017", "5L", "'a'", "1_000_000"],
      real: ["0.5", "1.25", "3.0", "1e3", "2.5f", "0.1"],
      truth: ["true", "false"],
      text: ['"a"', '"deck"', '"q\\"q"'],
    },
    names: {
      whole: [..."load cars top far small mid sign".split(" "), "loads[0]", "loads.length", "boat.length()"],
      real: ["fare", "tide"],
      truth: ["full", "late"],
      text: ["boat"],
    },
    forms: {
      whole: [
        ...between("+ - * / %", ["whole", "whole"]),
        ...["&", "|", "^", "<<", ">>", ">>>"].map((sign) => form(`({0} ${sign} {1})`, "whole", "whole")),
        ...[form("-({0})", "whole"), form("~({0})", "whole"), form("({0} ? {1} : {2})", "truth", "whole", "whole")],
        ...[
          form("(int) ({0})", "whole"),
          form("(char) ({0})", "whole"),
          form("(byte) ({0})", "whole"),
          form("(long) {0}", "whole"),
        ],
        ...[form("(int) ({0})", "real"), form("(long) ({0})", "real"), form("Math.max({0}, {1})", "whole", "whole")],
        ...[form("Math.abs({0})", "whole"), form("boat.charAt(2)"), form("boat.indexOf({0})", "text")],
        form("loads[1]"),
      ],
      real: [
        ...between("+ - * / %", ["real", "real"]),
        ...between("+ - * /", ["whole", "real"]),
        ...[form("-({0})", "real"), form("(float) ({0})", "real"), form("(double) ({0})", "whole")],
        ...[
          form("({0} ? {1} : {2})", "truth", "whole", "real"),
          form("Math.floor({0})", "real"),
          form("Math.min({0}, {1})", "real", "real"),
        ],
      ],
      truth: [
        ...["<", "<=", ">", ">=", "==", "!="].map((sign) => form(`({0} ${sign} {1})`, "whole", "whole")),
        ...["<", ">=", "=="].map((sign) => form(`({0} ${sign} {1})`, "real", "whole")),
        ...between("&& || & | ^ == !=", ["truth", "truth"]),
        ...[form("!({0})", "truth"), form("({0}).equals({1})", "text", "text"), form("boat.contains({0})", "text")],
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
        ...[form("({0} + ({1}))", "text", "truth"), form("({0} + none)", "text"), form("boat.substring(1, 3)")],
        ...[
          form("String.valueOf({0})", "real"),
          form("({0} ? {1} : {2})", "truth", "text", "text"),
          form("({0}).toUpperCase()", "text"),
        ],
      ],
    },
  },
  program: (expressions) => {
    const perMethod = 100;
    const methods = Array.from({ length: Math.ceil(expressions.length / perMethod) }, (_, at) => at);
    return `public class Main {
    interface Work { Object of(); }
    static int load = 7, cars = -3, top = 2147483600;
    static long far = 5000000000L;
    static byte small = -100;
    static short mid = 300;
    static char sign = 'T';
    static double fare = 2.5;
    static float tide = -0.1f;
    static boolean full = true, late = false;
    static String boat = "Tern", none = null;
    static int[] loads = {4, 9, -2};

    static void show(int number, Work work) {
        Object value;
        try {
            value = work.of();
        } catch (RuntimeException problem) {
            System.out.println(number + " stopped " + problem.getClass().getSimpleName());
            return;
        }
        if (value instanceof Boolean) System.out.println(number + " truth " + ((Boolean) value ? 1 : 0));
        else if (value instanceof Character) System.out.println(number + " letter " + (int) (Character) value);
        else if (value instanceof String) System.out.println(number + " text " + value);
        else if (value instanceof Double || value instanceof Float) System.out.println(number + " real " + ((Number) value).doubleValue());
        else System.out.println(number + " whole " + value);
    }

${methods
  .map(
    (at) => `    static void part${at}() {
${expressions
  .slice(at * perMethod, (at + 1) * perMethod)
  .map((expression, place) => `        show(${at * perMethod + place}, () -> ${expression});`)
  .join("\n")}
    }
`,
  )
  .join("\n")}
    public static void main(String[] given) {
${methods.map((at) => `        part${at}();`).join("\n")}
    }
}
`;
  },
};

const { far: _, ...shared } = java.values;

/** As Java, with floats in the place of doubles and the functions of sketches. */
const sketch: Spoken = {
  sorts: java.sorts,
  values: { ...shared, fare: { type: "Float", text: "2.5" } },
  grammar: {
    brackets: 0.4,
    literals: {
      ...java.grammar.literals,
      whole: ["0", "1", "2", "3", "10", "0x1F", "'a'", "1_000"],
      real: ["0.5", "1.25", "3.0", "1e2", "2.5f", "0.1"],
    },
    names: {
      ...java.grammar.names,
      whole: [..."load cars top small mid sign".split(" "), "loads[0]", "loads.length", "boat.length()"],
    },
    forms: {
      ...java.grammar.forms,
      whole: [
        ...between("+ - * / %", ["whole", "whole"]),
        ...["&", "|", "<<", ">>"].map((sign) => form(`({0} ${sign} {1})`, "whole", "whole")),
        ...[form("-({0})", "whole"), form("({0} ? {1} : {2})", "truth", "whole", "whole")],
        ...[form("int({0})", "real"), form("int({0})", "whole"), form('int("12")'), form("(int) ({0})", "real")],
        ...[
          form("max({0}, {1})", "whole", "whole"),
          form("min({0}, {1})", "whole", "whole"),
          form("abs({0})", "whole"),
        ],
        ...[form("boat.charAt(2)"), form("boat.indexOf({0})", "text"), form("loads[1]")],
      ],
      real: [
        ...between("+ - * / %", ["real", "real"]),
        ...between("+ - * /", ["whole", "real"]),
        ...[form("-({0})", "real"), form("float({0})", "whole"), form('float("2.5")')],
        ...[form("({0} ? {1} : {2})", "truth", "whole", "real"), form("sqrt({0})", "real"), form("sqrt({0})", "whole")],
        ...[form("min({0}, {1})", "real", "real"), form("max({0}, {1})", "whole", "real"), form("abs({0})", "real")],
      ],
      text: [
        ...[form("({0} + {1})", "text", "text"), form("({0} + ({1}))", "text", "whole")],
        ...[form("(({0}) + {1})", "real", "text"), form("(({0}) + ({1}) + {2})", "whole", "whole", "text")],
        ...[form("({0} + ({1}))", "text", "truth"), form("({0} + none)", "text"), form("boat.substring(1, 3)")],
        ...[
          form("str({0})", "real"),
          form("({0} ? {1} : {2})", "truth", "text", "text"),
          form("({0}).toUpperCase()", "text"),
        ],
      ],
    },
  },
  program: (expressions) => {
    const perFunction = 100;
    const parts = Array.from({ length: Math.ceil(expressions.length / perFunction) }, (_each, at) => at);
    const calls = (at: number) =>
      expressions
        .slice(at * perFunction, (at + 1) * perFunction)
        .map((expression, place) => `  show(${at * perFunction + place}, () -> ${expression});`)
        .join("\n");
    return `interface Work { Object of(); }
int load = 7, cars = -3, top = 2147483600;
byte small = -100;
short mid = 300;
char sign = 'T';
float fare = 2.5, tide = -0.1;
boolean full = true, late = false;
String boat = "Tern", none = null;
int[] loads = {4, 9, -2};

void show(int number, Work work) {
  Object value;
  try {
    value = work.of();
  } catch (RuntimeException problem) {
    println(number + " stopped " + problem.getClass().getSimpleName());
    return;
  }
  if (value instanceof Boolean) println(number + " truth " + ((Boolean) value ? 1 : 0));
  else if (value instanceof Character) println(number + " letter " + (int) (Character) value);
  else if (value instanceof String) println(number + " text " + value);
  else if (value instanceof Float) println(number + " real " + ((Number) value).doubleValue());
  else println(number + " whole " + value);
}

${parts.map((at) => `void part${at}() {\n${calls(at)}\n}\n`).join("\n")}
void setup() {
${parts.map((at) => `  part${at}();`).join("\n")}
}
`;
  },
};

testExpressions("java", java);
testExpressions("sketch", sketch);
