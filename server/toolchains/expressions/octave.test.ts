import { between, form } from "./generate.ts";
import { testExpressions } from "./testExpressions.ts";

testExpressions("octave", {
  goesOn: true,
  sorts: ["real", "truth", "whole"],
  values: {
    ...{
      load: { type: "double", text: "7" },
      cars: { type: "double", text: "-3" },
      fare: { type: "double", text: "2.5" },
    },
    ...{
      tide: { type: "double", text: "-0.1" },
      full: { type: "logical", text: "1" },
      late: { type: "logical", text: "0" },
    },
    ...{
      seats: { type: "int32", text: "9" },
      small: { type: "uint8", text: "200" },
      boat: { type: "char", text: '"Tern"' },
    },
    loads: {
      ...{ type: "list", shape: "list" },
      items: [4, 9, -2].map((each) => ({ value: { type: "double", text: String(each) } })),
    },
  },
  grammar: {
    brackets: 0.4,
    literals: {
      real: ["0", "1", "2", "3", "10", "0.5", "1.25", "1e3", "0.1"],
      truth: ["true", "false"],
      whole: ["int32(7)", "int32(3)"],
    },
    names: {
      real: [..."load cars fare tide".split(" "), "loads(2)", "numel(loads)", "length(boat)"],
      truth: ["full", "late"],
      whole: ["seats"],
    },
    forms: {
      real: [
        ...between("+ - * / .* ./ \\", ["real", "real"]),
        ...[form("{0} ^ 2", "real"), form("-{0}", "real"), form("abs({0})", "real"), form("floor({0})", "real")],
        ...[form("mod(floor({0}), 3)", "real"), form("rem(floor({0}), 4)", "real"), form("round({0})", "real")],
        ...[
          form("max({0}, {1})", "real", "real"),
          form("({0} + {1})", "truth", "truth"),
          form("{0} * {1}", "real", "truth"),
        ],
        ...[form("sum(loads)"), form("(boat(1) + {0})", "real"), form("2 ^ -{0}", "real"), form("-{0} ^ 2", "real")],
      ],
      truth: [
        ...between("< <= > >= == != ~=", ["real", "real"]),
        ...between("&& || & |", ["truth", "truth"]),
        ...between("&& ||", ["real", "truth"]),
        ...between("== <", ["whole", "real"]),
        ...[
          form("!{0}", "truth"),
          form("~{0}", "real"),
          form("!({0})", "truth"),
          form("{0} < {1} < {2}", "real", "real", "real"),
        ],
        ...[form('strcmp(boat, "Tern")'), form('(boat(2) == "e")'), form("isempty(loads)")],
      ],
      whole: [
        ...["+", "-", "*", "/"].map((sign) => form(`({0} ${sign} {1})`, "whole", "whole")),
        ...["+", "-", "*", "/"].map((sign) => form(`({0} ${sign} {1})`, "whole", "real")),
        ...[form("(-{0})", "whole"), form("int32({0})", "real"), form("abs(int32({0}))", "real")],
      ],
    },
  },
  program: (expressions) => `1;
function show (number, work)
  try
    value = work ();
  catch
    printf ("%d stopped\\n", number);
    return;
  end
  if (islogical (value))
    printf ("%d truth %d\\n", number, value);
  elseif (isinteger (value))
    printf ("%d whole %d\\n", number, value);
  elseif (ischar (value))
    printf ("%d text %s\\n", number, value);
  else
    printf ("%d real %.17g\\n", number, value);
  end
end
load = 7; cars = -3; fare = 2.5; tide = -0.1; full = true; late = false;
seats = int32 (9); small = uint8 (200); boat = "Tern"; loads = [4 9 -2];
${expressions.map((expression, number) => `show (${number}, @() ${expression});`).join("\n")}
`,
});
