import { type Lines, lineRows } from "../lineRows.ts";

/** A word in either case, as a program's other words are written; what gives a value to a name; what prints. */
type Spelling = {
  letters: (word: string) => string;
  give: (name: string, value: string) => string;
  output: string;
  assign: string;
};

/** Lines as other languages write them, in the program's own spelling of pseudocode. */
export function pseudocodeLinesElsewhere({ letters, give, output, assign }: Spelling): Lines {
  const gives = "(?:←|<-|:=|=)";
  const row = lineRows("i");
  const counted = `${letters("FOR")} $1 ${assign === letters("TO") ? "=" : assign} $2 ${letters("TO")} $3`;
  return [
    // Loops.
    row(
      `^for\\s+(\\w+)\\s*(?:${gives}|\\bin\\b|\\bfrom\\b)\\s*(?!\\[)([^,{:.]+?)\\s*(?:\\bto\\b|,|\\.{2,3}|\\buntil\\b)\\s*([^,{:]+?)\\s*(?:\\bdo\\b|:|\\{)?$`,
      counted,
    ),
    row(
      "^for\\s*(?:each)?\\s*(\\w+)\\s+(?:in|of)\\s+(?!.*\\bto\\b)(.+?)\\s*(?:\\bdo\\b|:|\\{)?$",
      `${letters("FOR EACH")} $1 ${letters("IN")} $2`,
    ),
    row("^while\\s+(.+?)\\s*(?:\\bthen\\b|:|\\{)$", `${letters("WHILE")} $1 ${letters("DO")}`),
    row("^do\\s*[:{]?$", letters("REPEAT")),
    // Decisions.
    row(
      "^(?:if|when)\\s+(.+?)\\s*(?:\\bthen\\b\\s*:|:|\\{|\\bdo\\b|\\bthan\\b|\\bthat\\b)$",
      `${letters("IF")} $1 ${letters("THEN")}`,
    ),
    row("^when\\s+(.+?)\\s+then$", `${letters("IF")} $1 ${letters("THEN")}`),
    row("^else\\s+if\\s+(?!.*\\bthen\\b)(.+?)\\s*(?:\\bdo\\b|:|\\{)?$", `${letters("ELSE IF")} $1 ${letters("THEN")}`),
    row("^(?:elif|elsif)\\s+(.+?)\\s*(?:\\bthen\\b)?\\s*:?$", `${letters("ELSE IF")} $1 ${letters("THEN")}`),
    row("^(?:else\\s*(?:then|do|:|\\{)|otherwise)$", letters("ELSE")),
    row("^else\\s+(?!if\\b)(.*[<>=≤≥≠].*?)(?:\\s+then)?$", `${letters("ELSE IF")} $1 ${letters("THEN")}`, 3),
    row("^else\\s+(?!if\\b).*[<>=≤≥≠].*$", letters("ELSE"), 3),
    row('^("[^"]*"|-?\\d+)\\s+(output|print|display|call)\\b(.*)$', "$1: $2$3"),
    row("^(?:else|default)\\s*:?\\s*((?:output|print|display|call)\\b.*)$", `${letters("OTHERWISE")} $1`),
    // Values.
    row("^(\\w+)\\s*([-+*/])=\\s*(.+?);?$", give("$1", "$1 $2 $3")),
    row(`^(\\w+)\\s*${gives}\\s*\\1\\s*([-+])\\2$`, give("$1", "$1 $2 1")),
    row("^(\\w+)\\s*([-+])\\2;?$", give("$1", "$1 $2 1")),
    row('^([^"]+?)\\s*(?:→|->)\\s*(\\w+)$', give("$2", "$1")),
    row(`^(.*?${gives}\\s*)[({](\\s*[^(){}]*,[^(){}]*)[)}]$`, "$1[$2]"),
    row(`^(\\w+\\s*${gives}\\s*)([^[\\](){},]+(?:,[^[\\](){},]+)+)$`, "$1[$2]"),
    row("\\b(\\w+)\\{(\\w+)\\}", "$1[$2]"),
    row("\\b(length|len|size)\\s+(\\w+)\\b", `${letters("LENGTH")}($2)`),
    row("\\b(mod|div)\\s*\\(\\s*([^,()]+?)\\s*,\\s*([^,()]+?)\\s*\\)", "$2 $1 $3"),
    row('^([^"]*?)\\s*%\\s*(.*)$', `$1 ${letters("MOD")} $2`),
    row('^([^"]*?)\\bis\\s+(?:greater|more)\\s+than\\b', "$1>"),
    row('^([^"]*?)\\bis\\s+(?:less|smaller)\\s+than\\b', "$1<"),
    row('^([^"]*?)(?:\\bis\\s+equal\\s+to\\b|\\bequals\\b|\\bis\\b)', "$1="),
    row("^(.*?)\\b(\\w+)\\s+not\\s*=\\s*(.*)$", `$1${letters("NOT")} $2 = $3`),
    // What is read and printed.
    row(`^(\\w+)\\s*${gives}\\s*(?:input|read|get)\\s*(?:\\(\\s*\\))?$`, `${letters("INPUT")} $1`),
    row(`^(\\w+)\\s*${gives}\\s*(?:input|read|get)\\s*\\(?\\s*("[^"]*")\\s*\\)?$`, `${letters("INPUT")} $2, $1`),
    row("^(?:input|get|read|scanf|readln)\\s*\\(\\s*(\\w+)\\s*\\)$", `${letters("INPUT")} $1`),
    row('^input\\s+"(\\w+)"$', `${letters("INPUT")} $1`, 3),
    row(
      "^(?:echo|say|show|puts|disp|printf|println|writeln|console\\.log|system\\.out\\.println)\\b\\s*\\(?(.*?)\\)?;?$",
      `${output} $1`,
    ),
    row("^(output|print|display|input|call|return)(?!ln\\b|f\\b)([a-z_]\\w*)$", "$1 $2"),
    row('^(output|print|display)\\s+("[^"]*")\\s+(\\w+)$', "$1 $2, $3"),
    row("^(output|print|display)\\s+call\\s+(.+)$", "$1 $2"),
    // Routines.
    row(
      "^(?:def|func|fn|method)\\s+(\\w+)\\s*(\\(.*?\\))\\s*[:{]?$|^function\\s+(\\w+)\\s*(\\(.*?\\))\\s*[:{]$",
      `${letters("FUNCTION")} $1$3$2$4`,
    ),
    row("^(?:sub|void|proc|def)\\s+(\\w+)\\s*(\\(.*?\\))\\s*[:{]?$", `${letters("PROCEDURE")} $1$2`),
    row("^(procedure|function)\\s+(\\w+)\\s+(\\w+(?:\\s*,\\s*\\w+)*)$", "$1 $2($3)"),
    row("^procedure\\s+(.*)$", `${letters("FUNCTION")} $1`, 2),
    row("^(?:run|execute|do|gosub|perform|use)\\s+(\\w+\\(.*\\))$", `${letters("CALL")} $1`),
    row("^returns\\b\\s*(?=\\S)", `${letters("RETURN")} `),
    // Declarations.
    row("\\barray\\s*[[(]\\s*(\\w+)\\s*(?:,|\\.{2,3}|-|\\bto\\b|:)\\s*(\\w+)\\s*[\\])]", `${letters("ARRAY")}[$1:$2]`),
    row(
      "^declare\\s+(\\w+(?:\\s*,\\s*\\w+)*)\\s+(?:as\\s+)?(array|integer|real|string|char|boolean)\\b",
      `${letters("DECLARE")} $1 : $2`,
    ),
    row("^(?:var|dim|let)\\s+(\\w+)\\s*(?::|\\bas\\b)\\s*(\\w+)$", `${letters("DECLARE")} $1 : $2`),
    row("(:|\\bof|\\breturns)\\s*(?:int|number)$", `$1 ${letters("INTEGER")}`),
    row("(:|\\bof|\\breturns)\\s*(?:float|double|decimal)$", `$1 ${letters("REAL")}`),
    row("(:|\\bof|\\breturns)\\s*(?:str|text)$", `$1 ${letters("STRING")}`),
    row("(:|\\bof|\\breturns)\\s*(?:bool|logical)$", `$1 ${letters("BOOLEAN")}`),
  ];
}

/** What other languages call something, as pseudocode has it. */
export const pseudocodeElsewhere = (letters: (word: string) => string): ReadonlyArray<readonly [string, string]> =>
  ["size(_)", "SIZE(_)", "COUNT(_)", "_.length", "_.LENGTH", "_.length()", "_.Length", "_.size()"].map(
    (other) => [other, `${letters("LENGTH")}(_)`] as const,
  );
