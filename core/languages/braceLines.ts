import { type Lines, lineRows } from "./lineRows.ts";

const row = lineRows();

/** Lines as other languages write them, in a language with braces around its blocks and brackets around its conditions. */
export const braceLinesElsewhere: Lines = [
  row("^(\\}?\\s*(?:else\\s+)?(?:if|while|for|switch)\\s*\\(.*\\))\\s*:$", "$1 {"),
  row("^(\\}?\\s*)else\\s+if\\s*\\{$", "$1else {"),
  row("^(\\}?\\s*)(?:elif|elsif|elseif)\\s*\\(?(.*?)\\)?\\s*[:{]$", "$1else if ($2) {"),
  row("^(\\}?\\s*)else\\s*:$", "$1else {"),
  row("^(\\w+)\\s*=([-+*/])\\s*([\\w.]+);$", "$1 $2= $3;", 3),
  row("^(\\w+)\\s*([-+*/])\\s*([\\w.[\\]]+);$", "$1 = $1 $2 $3;"),
  row("^(\\w+)\\s*([-+]);$", "$1$2$2;"),
  row("^(int\\s+\\w+\\s*=\\s*-?\\d+)\\.0;$", "$1;", 3),
  row(
    "^((?:(?:public|private|protected|static)\\s+)*(?:void|int|double|float|boolean|bool)\\s+[A-Za-z_]\\w*)\\s+\\{$",
    "$1() {",
    2,
  ),
  row("^(\\w+)\\[([^\\][]*)\\];$", "$1($2);"),
  row("^(?!return\\b|case\\b|goto\\b|throw\\b)([a-z]\\w*)\\s+(-?\\d[\\d\\s,.]*);$", "$1($2);", 3),
];

/** The same in C. */
export const lettersLinesElsewhere: Lines = [
  ...braceLinesElsewhere,
  row('^#\\s*include\\s+"?(\\w+\\.h)"?$', "#include <$1>"),
  row("^(struct\\s+\\w+\\s*\\*\\s*\\w+\\s*=\\s*)(\\w+);$", "$1&$2;", 3),
  row("^((?:struct\\s+)?\\w+)\\s+(\\w+\\s*=\\s*&)", "$1 *$2"),
  row("(\\(\\s*(?:int|double|float|char)\\s+\\*?\\w+(?:\\[\\])?)\\s+(int|double|float|char)\\b", "$1, $2"),
  row("^(int|double|float|char|long)\\s+(\\w+)\\s*=\\s*\\{", "$1 $2[] = {"),
  row("^(scanf|printf)\\((%\\w+)(?=\\s*[,)])", '$1("$2"'),
  row('^(scanf|printf)\\(([^",]*[% ][^",]*?)(?=\\s*[,)])', '$1("$2"'),
  row('^(scanf|printf)\\(("[^"]*")\\s+(?=[&\\w])', "$1($2, "),
  row("^(?!.*\\{$)(.*\\w\\(.*\\b\\w+)\\[\\](?=\\s*[,)])", "$1"),
  row("^main\\s*\\(", "int main("),
];

/** The same where a row has its brackets behind its type. */
export const rowLinesElsewhere: Lines = [
  row("^(int|double|float|String|string|boolean|bool|char|long)\\s+(\\w+)\\s*=\\s*\\{", "$1[] $2 = {"),
  row("^((?:\\w+\\s*\\[\\s*\\]\\s*)\\w+\\s*=\\s*)\\(([^()]*,[^()]*)\\);$", "$1{$2};"),
  row("^for\\s*\\((\\w+\\s+\\w+)\\s*;\\s*(\\w+)\\)", "for ($1 : $2)"),
];

/** The same in Java. */
export const javaLinesElsewhere: Lines = [
  ...braceLinesElsewhere,
  ...rowLinesElsewhere,
  row("\\bnew\\s+List<", "new ArrayList<"),
  row("\\bnew\\s+(Map|Set)<", "new Hash$1<"),
  row('^((?:\\}\\s*else\\s+)?(?:if|while)\\s*\\(.*?)\\b(\\w+)\\s*={1,3}\\s*("[^"]*")', "$1$2.equals($3)"),
  row("^System\\.(println|print|printf)\\(", "System.out.$1("),
  row('^(System\\.out\\.print(?:ln)?)\\(("[^"]*"),\\s*', "$1($2 + "),
];

/** The same in C#. */
export const csharpLinesElsewhere: Lines = [
  ...braceLinesElsewhere,
  ...rowLinesElsewhere,
  row("^for\\s*(?=\\(\\w+(?:\\s+\\w+)?\\s+in\\b)", "foreach "),
  row("^foreach\\s+(\\w+\\s+\\w+\\s+in\\s+\\w+)\\s*\\{$", "foreach ($1) {"),
  row("\\bint\\((?=Console)", "int.Parse("),
  row("\\bConsole\\.Read(?:Int|Number)\\(\\)", "int.Parse(Console.ReadLine())"),
  row("\\bConsole\\.(?:Print|PrintLine|Println|Log|Out)\\(", "Console.WriteLine("),
  row("^import\\s+", "using "),
];
