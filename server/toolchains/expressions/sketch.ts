import { between, form } from "./generate.ts";
import { java } from "./java.ts";
import type { Spoken } from "./spoken.ts";

const { far: _, ...shared } = java.values;

/** As Java, with floats in the place of doubles and the functions of sketches. */
export const sketch: Spoken = {
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
