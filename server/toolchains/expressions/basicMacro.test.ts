import { between, form } from "./generate.ts";
import { testExpressions } from "./testExpressions.ts";

/** Expressions of written values alone are folded before the run, by rules of their own: every one here has a name in it. */
testExpressions("basic-macro", {
  printed: (told) => (told.kind === "whole" ? { ...told, kind: "real" } : told),
  sorts: ["real", "truth", "text"],
  values: {
    ...{ load: { type: "Integer", text: "7" }, cars: { type: "Integer", text: "-3" } },
    ...{ fare: { type: "Double", text: "2.5" }, tide: { type: "Double", text: "-0.25" } },
    ...{ none: { type: "Empty", text: "Empty" } },
    ...{ full: { type: "Boolean", text: "True" }, late: { type: "Boolean", text: "False" } },
    ...{ boat: { type: "String", text: '"Tern"' }, quay: { type: "String", text: '"Stack"' } },
    loads: {
      ...{ type: "list", shape: "list" },
      items: [4, 9, -2].map((each) => ({ value: { type: "Integer", text: String(each) } })),
    },
  },
  grammar: {
    brackets: 0.4,
    literals: {},
    names: {
      real: [..."load cars fare tide none".split(" "), "loads(1)", "loads(2)", "Len(boat)"],
      ...{ truth: ["full", "late"], text: ["boat", "quay"] },
    },
    forms: {
      real: [
        ...between("+ - *", ["real", "real"]),
        ...[form("{0} + 2", "real"), form("10 - {0}", "real"), form("{0} * 3", "real"), form("{0} / 4", "real")],
        ...[form("{0} \\ 3", "real"), form("{0} Mod 4", "real"), form("{0} ^ 2", "real"), form("-{0}", "real")],
        ...[form("Abs({0})", "real"), form("Int({0})", "real"), form("Fix({0})", "real"), form("Sgn({0})", "real")],
        ...[form("Len({0})", "text"), form("({0} + {1})", "real", "truth"), form("Val(CStr({0}))", "real")],
      ],
      truth: [
        ...between("< <= > >= = <>", ["real", "real"]),
        ...between("< = <> >=", ["text", "text"]),
        ...between("And Or Xor", ["truth", "truth"]),
        ...[form("Not {0}", "truth"), form("Not ({0})", "truth"), form("(({0}) = ({1}))", "truth", "truth")],
      ],
      text: [
        ...between("& +", ["text", "text"]),
        ...between("&", ["text", "real"]),
        ...[form("UCase({0})", "text"), form("LCase({0})", "text"), form("Left({0}, 2)", "text")],
        ...[form("Mid({0}, 2, 1)", "text"), form("Right({0}, 2)", "text"), form("({0} & ({1}))", "text", "truth")],
      ],
    },
  },
  program: (expressions) => `Sub Main
  Dim load As Integer, cars As Integer, fare As Double, tide As Double
  Dim full As Boolean, late As Boolean, boat As String, quay As String
  load = 7 : cars = -3 : fare = 2.5 : tide = -0.25 : full = True : late = False
  boat = "Tern" : quay = "Stack" : loads = Array(4, 9, -2) : none = Empty
${expressions.map((expression, number) => `  Tell ${number}, (${expression})`).join("\n")}
End Sub

Sub Tell(number, given)
  If VarType(given) = 11 Then
    MsgBox number & " truth " & Abs(given)
  ElseIf VarType(given) = 8 Then
    MsgBox number & " text " & given
  Else
    MsgBox number & " real " & given
  End If
End Sub
`,
});
