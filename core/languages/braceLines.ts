import type { Writing } from "./writing.ts";

type Lines = NonNullable<Writing["linesElsewhere"]>;

const row = (read: string, write: string, odds?: number): Lines[number] => ({
  read: new RegExp(read),
  write,
  ...(odds === undefined ? {} : { odds }),
});

/** Lines as other languages write them, in a language with braces around its blocks and brackets around its conditions. */
export const braceLinesElsewhere: Lines = [
  row("^(\\}?\\s*(?:else\\s+)?(?:if|while|for|switch)\\s*\\(.*\\))\\s*:$", "$1 {"),
  row("^(\\}?\\s*)else\\s+if\\s*\\{$", "$1else {"),
  row("^(\\}?\\s*)(?:elif|elsif|elseif)\\s*\\(?(.*?)\\)?\\s*[:{]$", "$1else if ($2) {"),
  row("^(\\}?\\s*)else\\s*:$", "$1else {"),
  row("^(\\w+)\\s*=([-+*/])\\s*([\\w.]+);$", "$1 $2= $3;", 3),
  row("^(\\w+)\\s*([-+*/])\\s*([\\w.]+);$", "$1 = $1 $2 $3;"),
  row("^(int\\s+\\w+\\s*=\\s*-?\\d+)\\.0;$", "$1;", 3),
  row(
    "^((?:(?:public|private|protected|static)\\s+)*(?:void|int|double|float|boolean|bool)\\s+[A-Za-z_]\\w*)\\s+\\{$",
    "$1() {",
    2,
  ),
  row("^(\\w+)\\[([^\\][]*)\\];$", "$1($2);"),
  row("^(?!return\\b|case\\b|goto\\b|throw\\b)([a-z]\\w*)\\s+(-?\\d[\\d\\s,.]*);$", "$1($2);", 3),
];

/** The same where a row has its brackets behind its type. */
export const rowLinesElsewhere: Lines = [
  row("^(int|double|float|String|string|boolean|bool|char|long)\\s+(\\w+)\\s*=\\s*\\{", "$1[] $2 = {"),
  row("^((?:\\w+\\s*\\[\\s*\\]\\s*)\\w+\\s*=\\s*)\\(([^()]*,[^()]*)\\);$", "$1{$2};"),
];
