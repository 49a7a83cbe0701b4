import { between, form } from "./generate.ts";
import { testExpressions } from "./testExpressions.ts";

testExpressions("pascal", {
  sorts: ["whole", "real", "truth", "text"],
  values: {
    ...{
      load: { type: "LongInt", text: "7" },
      cars: { type: "SmallInt", text: "-3" },
      top: { type: "LongInt", text: "2147483600" },
    },
    ...{ far: { type: "Int64", text: "5000000000" }, small: { type: "Byte", text: "200" } },
    ...{ fare: { type: "Double", text: "2.5" }, tide: { type: "Double", text: "-0.1" } },
    ...{ full: { type: "Boolean", text: "true" }, late: { type: "Boolean", text: "false" } },
    ...{ boat: { type: "ShortString", text: "'Tern'" }, sign: { type: "Char", text: "'T'" } },
  },
  grammar: {
    brackets: 0.4,
    literals: {
      whole: ["1", "2", "3", "10", "$1F"],
      truth: ["true", "false"],
      text: ["'deck'", "'it''s'", "'ab'"],
    },
    names: {
      whole: [..."load cars top far small".split(" "), "Length(boat)", "Ord(sign)"],
      real: ["fare", "tide"],
      truth: ["full", "late"],
      text: ["boat"],
    },
    forms: {
      whole: [
        ...between("+ - * div mod", ["whole", "whole"]),
        ...["and", "or", "xor", "shl 2 +"].map((sign) => form(`({0} ${sign} {1})`, "whole", "whole")),
        ...[
          form("(-({0}))", "whole"),
          form("(not ({0}))", "whole"),
          form("Abs({0})", "whole"),
          form("Sqr({0} mod 1000)", "whole"),
        ],
        ...[
          form("Trunc({0})", "real"),
          form("Round({0})", "real"),
          form("Pos({0}, boat)", "text"),
          form("Succ({0})", "whole"),
        ],
      ],
      real: [
        ...["+", "-", "*"].map((sign) => form(`{0} ${sign} {1}`, "real", "real")),
        ...[form("({0} / fare)", "real"), form("({0} / {1})", "whole", "whole"), form("{0} + {1}", "whole", "real")],
        ...[form("(-({0}))", "real"), form("Abs({0})", "real"), form("Sqr({0})", "real")],
      ],
      truth: [
        ...["<", "<=", ">", ">=", "=", "<>"].map((sign) => form(`({0} ${sign} {1})`, "whole", "whole")),
        ...["<", ">="].map((sign) => form(`({0} ${sign} {1})`, "real", "whole")),
        ...["=", "<", "<>"].map((sign) => form(`({0} ${sign} {1})`, "text", "text")),
        ...[
          form("({0} and {1})", "truth", "truth"),
          form("({0} or {1})", "truth", "truth"),
          form("({0} xor {1})", "truth", "truth"),
        ],
        ...[form("(full and {0} or late)", "truth"), form("(not {0})", "truth"), form("Odd({0})", "whole")],
        ...[form("(load in [1, 5..{0} mod 200 + 8])", "whole"), form("(sign = 'T')"), form("(sign < 'a')")],
      ],
      text: [
        ...[
          form("{0} + {1}", "text", "text"),
          form("Copy({0}, 2, 2)", "text"),
          form("UpCase(boat)"),
          form("({0} + sign)", "text"),
        ],
      ],
    },
  },
  program: (expressions) => `program Deck;
{$mode objfpc}{$h+}
uses SysUtils;

procedure Show(number: longint; value: int64); overload;
begin
  WriteLn(number, ' whole ', value);
end;

procedure Show(number: longint; value: double); overload;
var
  point: TFormatSettings;
begin
  point := DefaultFormatSettings;
  point.DecimalSeparator := '.';
  WriteLn(number, ' real ', FloatToStrF(value, ffExponent, 17, 3, point));
end;

procedure Show(number: longint; value: boolean); overload;
begin
  WriteLn(number, ' truth ', Ord(value));
end;

procedure Show(number: longint; value: string); overload;
begin
  WriteLn(number, ' text ', value);
end;

var
  load, top: longint;
  cars: smallint;
  far: int64;
  small: byte;
  fare, tide: double;
  full, late: boolean;
  boat: string;
  sign: char;
begin
  load := 7; cars := -3; top := 2147483600; far := 5000000000; small := 200;
  fare := 2.5; tide := -0.1; full := true; late := false; boat := 'Tern'; sign := 'T';
${expressions.map((expression, number) => `  Show(${number}, ${expression});`).join("\n")}
end.
`,
});
