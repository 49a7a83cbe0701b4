import { type Lines, lineRows } from "../lineRows.ts";

const row = lineRows("i");

/** Types by what other languages call them. */
const types: ReadonlyArray<readonly [other: string, own: string]> = [
  ["int|integer|num|number", "Integer"],
  ["float|double", "Double"],
  ["str|string|text", "String"],
  ["bool|boolean", "Boolean"],
];
const anyType = "integer|double|single|decimal|string|boolean|long|char|date|object";

/** Lines as other languages write them, in any Basic. */
export const basicLinesElsewhere: Lines = [
  // Loops.
  row(
    "^for\\s+(?:each\\s+)?(\\w+(?:\\s+as\\s+\\w+)?)\\s*(?:=|\\bin\\b|\\bfrom\\b|:=)\\s*([^,]+?)\\s*(?:\\bto\\b|,|\\buntil\\b|\\.\\.+)\\s*([^,]+?)\\s*(?:\\bthen\\b|\\bdo\\b|:|\\{)?$",
    "For $1 = $2 To $3",
  ),
  row(
    "^for\\s*(?:each)?\\s+(\\w+(?:\\s+as\\s+\\w+)?)\\s+(?:in|of)\\s+(\\w[\\w.()]*)\\s*(?:do|:|\\{)?$",
    "For Each $1 In $2",
  ),
  row("^(do\\s+while|do\\s+until|while)\\s+(.+?)\\s*(?:\\bthen\\b|\\bdo\\b|:|\\{)$", "$1 $2"),
  // Decisions.
  row("^if\\s+(.+?)\\s*(?::|\\{|\\bdo\\b|\\bthan\\b|\\bthat\\b)$", "If $1 Then"),
  row("^(?:elif|elsif|else)\\s+(?!if\\b)(.+?)\\s+then$", "ElseIf $1 Then"),
  row("^(?:elif|elsif|elseif|else\\s+if)\\s+(.+?)\\s*(?::|\\{|\\bdo\\b|\\bthan\\b)$", "ElseIf $1 Then"),
  row("^\\}?\\s*else\\s*(?:then|do|:|\\{)$", "Else"),
  row("^(?:switch|case\\s+of|select)\\s*\\(?\\s*([a-z_]\\w*)\\s*\\)?\\s*(?::|\\{)?$", "Select Case $1"),
  row("^(?:default|otherwise)\\s*:?$", "Case Else"),
  // Values.
  row("^(\\w+)\\s*([-+])\\2;?$", "$1 = $1 $2 1"),
  row("^(\\w+)\\s*([-+*/&])\\s*([\\w.]+)$", "$1 = $1 $2 $3"),
  row('^([^"]*?)\\s*&&\\s*', "$1 And "),
  row('^([^"]*?)\\s*\\|\\|\\s*', "$1 Or "),
  row('^([^"]*?)!\\s*(?=[a-z(])', "$1Not "),
  row('^([^"]*?)\\s*!=\\s*', "$1 <> "),
  row('^((?:else\\s*)?(?:if|while|do)\\b[^"]*?)\\s*==\\s*', "$1 = "),
  row('^([^"]*?)\\s*%\\s*(?=[\\w(])', "$1 Mod "),
  row('^([^"]*?)\\s*(?:\\/\\/|\\bdiv\\b)\\s*(?=[\\w(])', "$1 \\ "),
  row('("[^"]*")\\s+([a-z_]\\w*)(?=\\s*(?:\\)|$))', "$1 & $2"),
  row("\\('([^']*)'?\\)?$", '("$1")'),
  // Routines.
  row("^(?:void|def|func|proc|procedure)\\s+(\\w+)\\s*(\\(.*\\))\\s*[:{]?$", "Sub $1$2"),
  row("^((?:public |private |shared )*)sub\\s+(\\w+\\s*\\(.*\\)\\s*as\\s+\\w+)$", "$1Function $2"),
  row("^((?:public |private |shared )*)function\\s+(main)\\s*\\(\\)$", "$1Sub $2()", 3),
  row("^(?:returns|retrun|retrn|retun|reutrn|give)\\b", "Return"),
  // Types.
  ...types.map(([other, own]) => row(`\\bas\\s+(?:${other})\\b`, `As ${own}`)),
  ...types.map(([other, own]) => row(`^(?:${other})\\s+(\\w+)\\s*=\\s*(.*?);?$`, `Dim $1 As ${own} = $2`)),
  row(`^dim\\s+(\\w+)\\s+(${anyType})\\b`, "Dim $1 As $2"),
  row(`^(\\w+)\\s+as\\s+(${anyType})\\b`, "Dim $1 As $2"),
  row("^(?:var|let)\\s+(\\w+)\\s*=\\s*(.*?);?$", "Dim $1 = $2"),
  row(`([(,]\\s*)(${anyType})\\s+(\\w+)(?=\\s*[,)])`, "$1$3 As $2"),
  row(`([(,]\\s*)(\\w+)\\s+(${anyType})(?=\\s*[,)])`, "$1$2 As $3"),
  // Rows.
  row("^dim\\s+(\\w+)\\s*\\[\\s*(\\d*)\\s*\\]", "Dim $1($2)"),
  row("\\b(\\w+)\\[([^\\][]+)\\]", "$1($2)"),
];

/** The same for programs with typed values at the console. */
export const typedBasicLinesElsewhere: Lines = [
  ...basicLinesElsewhere,
  row("^console\\.(?:printline|println|print|log|out|writelin|write\\s+line)\\b", "Console.WriteLine"),
  row(
    "^(?:print|println|printf|writeln|writeline|echo|output|system\\.out\\.println|console\\.log)\\b\\s*\\(?(.*?)\\)?;?$",
    "Console.WriteLine($1)",
  ),
  row("\\binput\\s*\\(\\s*\\)", "Console.ReadLine()"),
  row("\\blen\\s*\\(\\s*(\\w+)\\s*\\)", "$1.Length"),
  row("^(dim\\s+\\w+)(\\s+as\\s+\\w+\\s*=\\s*\\{)", "$1()$2"),
  row("^(dim\\s+\\w+)\\(\\d+\\)(\\s+as\\s+\\w+\\s*=\\s*\\{)", "$1()$2"),
  row("^(dim\\s+\\w+\\s*\\(\\)\\s+as\\s+\\w+\\s*=\\s*)[[(](.*)[\\])]$", "$1{$2}"),
];

/** The same for macros, which have no shorter way to change a value. */
export const macroLinesElsewhere: Lines = [
  ...basicLinesElsewhere,
  row("^(\\w+)\\s*([-+*/&])=\\s*(.+)$", "$1 = $1 $2 $3"),
  row("\\('([^']*)'\\)", '("$1")'),
  row("^(?:def|func)\\s+(\\w+)\\s*(\\(.*\\))\\s*[:{]?$", "Function $1$2"),
];
