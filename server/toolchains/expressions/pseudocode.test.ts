import { between, form } from "./generate.ts";
import { testExpressions } from "./testExpressions.ts";

testExpressions("pseudocode", {
  sorts: ["whole", "real", "truth", "text"],
  values: {
    ...{ load: { type: "INTEGER", text: "7" }, cars: { type: "INTEGER", text: "-3" } },
    ...{ fare: { type: "REAL", text: "2.5" }, tide: { type: "REAL", text: "-0.1" } },
    ...{ full: { type: "BOOLEAN", text: "TRUE" }, late: { type: "BOOLEAN", text: "FALSE" } },
    ...{ boat: { type: "STRING", text: '"Tern"' }, quay: { type: "STRING", text: '"Stack"' } },
    loads: {
      ...{ type: "list", shape: "list" },
      items: [4, 9, -2].map((each) => ({ value: { type: "INTEGER", text: String(each) } })),
    },
    depths: {
      ...{ type: "list from 0", shape: "list" },
      items: ["3.5", "-1.25"].map((text) => ({ value: { type: "REAL", text } })),
    },
  },
  grammar: {
    brackets: 0.4,
    literals: {
      whole: ["0", "1", "2", "3", "10", "9007199254740993"],
      ...{ real: ["0.5", "1.25", "0.1", "100.0"], truth: ["TRUE", "FALSE"], text: ['"Kittiwake"', "'a'"] },
    },
    names: {
      whole: [..."load cars".split(" "), "loads[2]", "LENGTH(boat)", "LENGTH(loads)"],
      ...{ real: ["fare", "tide", "depths[0]"], truth: ["full", "late"], text: ["boat", "quay"] },
    },
    forms: {
      whole: [
        ...between("+ - * × DIV MOD div", ["whole", "whole"]),
        ...[form("-{0}", "whole"), form("ABS({0})", "whole"), form("{0} ^ 2", "whole"), form("INT({0})", "real")],
        ...[form("MAX({0}, {1})", "whole", "whole"), form("MIN({0}, {1})", "whole", "whole")],
        ...[form("ROUND({0})", "real"), form("FLOOR({0})", "real"), form("LENGTH({0})", "text")],
      ],
      real: [
        ...between("+ - *", ["real", "whole"]),
        ...between("+ - *", ["real", "real"]),
        ...between("/ ÷", ["whole", "whole"]),
        ...[form("-{0}", "real"), form("{0} ^ 2", "real"), form("SQRT(ABS({0}))", "whole"), form("2 ^ -{0}", "whole")],
      ],
      truth: [
        ...between("< <= ≤ > >= ≥ = == <> ≠ !=", ["whole", "whole"]),
        ...between("< ≤ > = ≠", ["real", "whole"]),
        ...between("< = ≠ >=", ["text", "text"]),
        ...between("AND OR and or", ["truth", "truth"]),
        ...[form("NOT {0}", "truth"), form("NOT ({0})", "truth"), form("(({0}) = ({1}))", "truth", "truth")],
      ],
      text: [
        ...between("+ &", ["text", "text"]),
        ...between("&", ["text", "whole"]),
        ...[form("UPPER({0})", "text"), form("LEFT({0}, 1)", "text"), form("MID({0}, 1, 1)", "text")],
        ...[form("({0} & ({1}))", "text", "truth"), form("({0} & {1})", "text", "real")],
      ],
    },
  },
  // Texts that come about begin with a letter, numbers with a digit or their sign; a number with decimals has a point or an exponent.
  program: (expressions) => `PROCEDURE show(number, given)
  text <- TO_TEXT(given)
  IF text = "TRUE" OR text = "FALSE" THEN
    IF given THEN
      OUTPUT number, " truth 1"
    ELSE
      OUTPUT number, " truth 0"
    ENDIF
  ELSE IF POSITION("-0123456789", LEFT(text, 1)) = 0 THEN
    OUTPUT number, " text ", text
  ELSE IF POSITION(text, ".") > 0 OR POSITION(text, "e") > 0 THEN
    OUTPUT number, " real ", text
  ELSE
    OUTPUT number, " whole ", text
  ENDIF
ENDPROCEDURE
load <- 7
cars <- -3
fare <- 2.5
tide <- -0.1
full <- TRUE
late <- FALSE
boat <- "Tern"
quay <- "Stack"
loads <- [4, 9, -2]
DECLARE depths : ARRAY[0:1] OF REAL
depths[0] <- 3.5
depths[1] <- -1.25
${expressions.map((expression, number) => `CALL show(${number}, ${expression})`).join("\n")}
`,
});
