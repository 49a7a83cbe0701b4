import { between, form } from "./generate.ts";
import { testExpressions } from "./testExpressions.ts";

testExpressions("basic-forms", {
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
      small: { type: "Byte", text: "200" },
      middle: { type: "Short", text: "-300" },
    },
    ...{ fare: { type: "Double", text: "2.5" }, tide: { type: "Double", text: "-0.1" } },
    ...{ full: { type: "Boolean", text: "True" }, late: { type: "Boolean", text: "False" } },
    ...{ boat: { type: "String", text: '"Tern"' }, none: { type: "null", text: "Nothing" } },
    loads: {
      ...{ type: "list", id: 1, shape: "list" },
      items: [4, 9, -2].map((each) => ({ value: { type: "Integer", text: String(each) } })),
    },
  },
  grammar: {
    brackets: 0.4,
    literals: {
      whole: ["load", "cars"],
      real: ["0.5", "1.25", "3.0", "1e3", "0.1"],
      truth: ["True", "false"],
      text: ['"a"', '"deck"', '"q""q"', '"4"'],
    },
    names: {
      whole: [..."load cars top far small middle".split(" "), "loads(0)", "loads.Length", "boat.Length"],
      real: ["fare", "tide"],
      truth: ["full", "late"],
      text: ["boat", "none"],
    },
    forms: {
      whole: [
        ...between("+ - *", ["whole", "whole"]),
        ...[form("({0} \\ {1})", "whole", "whole"), form("({0} Mod {1})", "whole", "whole")],
        ...[
          form("({0} + 3)", "whole"),
          form("({0} * 10)", "whole"),
          form("{0} mod 4", "whole"),
          form("-({0})", "whole"),
        ],
        ...[form("({0} And {1})", "whole", "whole"), form("({0} Xor 5)", "whole")],
        ...[
          form("CInt({0})", "real"),
          form("CLng({0})", "whole"),
          form("CInt({0})", "truth"),
          form("Len({0})", "text"),
        ],
        ...[
          form("Math.Max({0}, {1})", "whole", "whole"),
          form("Math.Abs({0})", "whole"),
          form("InStr({0}, {1})", "text", "text"),
        ],
      ],
      real: [
        ...between("+ - * /", ["real", "real"]),
        ...between("+ - * /", ["whole", "real"]),
        ...[form("({0} / {1})", "whole", "whole"), form("({0} Mod {1})", "real", "real"), form("-({0})", "real")],
        ...[
          form("Int({0})", "real"),
          form("Math.Round({0})", "real"),
          form("Math.Floor({0})", "real"),
          form("CDbl({0})", "whole"),
        ],
        ...[form("({0} * 2)", "text"), form("(full + {0})", "real")],
      ],
      truth: [
        ...["<", "<=", ">", ">=", "=", "<>"].map((sign) => form(`({0} ${sign} {1})`, "whole", "whole")),
        ...["<", ">=", "="].map((sign) => form(`({0} ${sign} {1})`, "real", "whole")),
        ...["<", "=", "<>"].map((sign) => form(`({0} ${sign} {1})`, "text", "text")),
        ...["And", "Or", "AndAlso", "OrElse", "Xor", "=", "<>"].map((sign) =>
          form(`({0} ${sign} {1})`, "truth", "truth"),
        ),
        ...[
          form("Not {0}", "truth"),
          form("(none Is Nothing)"),
          form("(boat IsNot Nothing)"),
          form('boat.Contains("er")'),
        ],
      ],
      text: [
        ...[
          form("({0} & {1})", "text", "text"),
          form("({0} & {1})", "text", "whole"),
          form("({0} & {1})", "real", "text"),
        ],
        ...[
          form("({0} & {1})", "truth", "text"),
          form('({0} + "x")', "text"),
          form("CStr({0})", "whole"),
          form("UCase({0})", "text"),
        ],
        ...[
          form("Left({0}, 2)", "text"),
          form("Mid({0}, 2)", "text"),
          form("boat.Substring(1, 2)"),
          form("({0} & {1} * 2)", "text", "whole"),
        ],
      ],
    },
  },
  program: (expressions) => `Module Deck
  Dim load As Integer = 7, cars As Integer = -3, top As Integer = 2147483600
  Dim far As Long = 5000000000
  Dim small As Byte = 200
  Dim middle As Short = -300
  Dim fare As Double = 2.5, tide As Double = -0.1
  Dim full As Boolean = True, late As Boolean = False
  Dim boat As String = "Tern", none As String = Nothing
  Dim loads() As Integer = {4, 9, -2}

  Sub Show(number As Integer, value As Object)
    If TypeOf value Is Boolean Then
      Console.WriteLine(number & " truth " & If(CBool(value), 1, 0))
    ElseIf TypeOf value Is String Then
      Console.WriteLine(number & " text " & CStr(value))
    ElseIf TypeOf value Is Double OrElse TypeOf value Is Single Then
      Console.WriteLine(number & " real " & CDbl(value).ToString("R"))
    Else
      Console.WriteLine(number & " whole " & CStr(value))
    End If
  End Sub

  Sub Main()
${expressions
  .map(
    (expression, number) => `    Try
      Show(${number}, ${expression})
    Catch problem As Exception
      Console.WriteLine(${number} & " stopped " & problem.Message)
    End Try`,
  )
  .join("\n")}
  End Sub
End Module
`,
});
