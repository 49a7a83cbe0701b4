import { between, form } from "./generate.ts";
import { testExpressions } from "./testExpressions.ts";

testExpressions("python", {
  goesOn: true,
  sorts: ["whole", "real", "truth", "text"],
  values: {
    ...{
      load: { type: "int", text: "7" },
      cars: { type: "int", text: "-3" },
      big: { type: "int", text: "12345678901234" },
    },
    ...{ fare: { type: "float", text: "2.5" }, tide: { type: "float", text: "-0.1" } },
    ...{ full: { type: "bool", text: "True" }, late: { type: "bool", text: "False" } },
    ...{ boat: { type: "str", text: "'Tern'" }, empty: { type: "str", text: "''" } },
    loads: {
      ...{ type: "list", id: 1, shape: "list" },
      items: [4, 9, -2].map((each) => ({ value: { type: "int", text: String(each) } })),
    },
  },
  grammar: {
    brackets: 0.4,
    literals: {
      whole: ["0", "1", "2", "3", "10", "255", "0x1F", "1_000"],
      real: ["0.5", "1.25", "3.0", "1e3", "0.1"],
      truth: ["True", "False"],
      text: ["'a'", '"deck"', "'b\\'s'"],
    },
    names: {
      whole: ["load", "cars", "big", "loads[0]", "loads[-1]", "len(boat)"],
      real: ["fare", "tide"],
      truth: ["full", "late"],
      text: ["boat", "empty", "boat[1]"],
    },
    forms: {
      whole: [
        ...between("+ - * // % & | ^", ["whole", "whole"]),
        ...[form("-{0}", "whole"), form("~{0}", "whole"), form("abs({0})", "whole"), form("int({0})", "real")],
        ...[form("({0} if {1} else {2})", "whole", "truth", "whole"), form("max({0}, {1})", "whole", "whole")],
        ...[
          form("{0} ** 2", "whole"),
          form("{0} << 2", "whole"),
          form("{0} >> 1", "whole"),
          form("round({0})", "real"),
        ],
        ...[
          form("len({0})", "text"),
          form("loads[{0} % 3]", "whole"),
          form("sum(loads)"),
          form("{0} + ({1})", "whole", "truth"),
        ],
      ],
      real: [
        ...between("+ - * / // %", ["real", "real"]),
        ...between("+ - * /", ["whole", "real"]),
        ...[
          form("{0} / {1}", "whole", "whole"),
          form("-{0}", "real"),
          form("float({0})", "whole"),
          form("{0} ** 2", "real"),
        ],
        ...[form("min({0}, {1})", "real", "real"), form("2 ** -{0}", "whole")],
      ],
      truth: [
        ...between("< <= > >= == !=", ["whole", "whole"]),
        ...between("< >= ==", ["real", "whole"]),
        ...between("and or", ["truth", "truth"]),
        ...between("== != < in", ["text", "text"]),
        ...[form("not {0}", "truth"), form("{0} in loads", "whole"), form("{0} not in loads", "whole")],
        ...[form("{0} < {1} <= {2}", "whole", "real", "whole"), form("{0} == {1} != {2}", "whole", "whole", "whole")],
        ...[form("bool({0})", "text"), form("{0} is None", "whole"), form("boat.startswith({0})", "text")],
      ],
      text: [
        form("{0} + {1}", "text", "text"),
        form("{0} * 2", "text"),
        form("str({0})", "real"),
        form("str({0})", "whole"),
        form("{0} or {1}", "text", "text"),
        form("{0} and {1}", "text", "text"),
        form("({0}).upper()", "text"),
        form("({0} if {1} else {2})", "text", "truth", "text"),
      ],
    },
  },
  program: (expressions) => `load = 7
cars = -3
big = 12345678901234
fare = 2.5
tide = -0.1
full = True
late = False
boat = "Tern"
empty = ""
loads = [4, 9, -2]

def show(number, work):
    try:
        value = work()
    except Exception as problem:
        print(number, "stopped", type(problem).__name__)
        return
    kind = {bool: "truth", int: "whole", float: "real", str: "text"}.get(type(value), "other")
    print(number, kind, int(value) if kind == "truth" else repr(value) if kind == "real" else value)

${expressions.map((expression, number) => `show(${number}, lambda: ${expression})`).join("\n")}
`,
});
