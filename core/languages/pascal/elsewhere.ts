import { type Lines, lineRows } from "../lineRows.ts";

const row = lineRows("i");

/** Lines as other languages write them, in Pascal. */
export const pascalLinesElsewhere: Lines = [
  row("\\barray\\s*[[(]\\s*(\\w+)\\s*(?::|,|-|\\bto\\b)\\s*(\\w+)\\s*[\\])]", "array[$1..$2]"),
  row("(\\barray\\s*\\[[^\\]]*\\])\\s+(integer|real|string|char|boolean)\\b", "$1 of $2"),
  row("^(\\w+(?:\\s*,\\s*\\w+)*)\\s*=\\s*(integer|real|string|char|boolean)\\s*;", "$1: $2;"),
  row("^(?:int|integer)\\s+(\\w+(?:\\s*,\\s*\\w+)*)\\s*;$", "$1: integer;"),
  row("^(?:double|float|real)\\s+(\\w+(?:\\s*,\\s*\\w+)*)\\s*;$", "$1: real;"),
  row("^string\\s+(\\w+(?:\\s*,\\s*\\w+)*)\\s*;$", "$1: string;"),
  row("\\((\\w+)\\s+(integer|real|string|char|boolean)\\)", "($1: $2)"),
  row("\\((integer|real|string|char|boolean)\\s+(\\w+)\\)", "($2: $1)"),
  row("^(function|procedure)\\s+(\\w+)\\s*\\((\\w+)\\)", "$1 $2($3: integer)"),
  row("^procedure\\s+(\\w+\\s*(?:\\(.*\\))?\\s*:\\s*\\w+\\s*;)", "function $1"),
  row(":\\s+=", ":="),
  row(
    "^for\\s+(\\w+)\\s*(?::=|=|\\bin\\b)\\s*([^,]+?)\\s*(?:,|\\.\\.|\\bto\\b)\\s*([^,]+?)\\s+do$",
    "for $1 := $2 to $3 do",
  ),
  row("^if\\s+(.+?)\\s*\\{$", "if $1 then"),
  row("^while\\s+(.+?)\\s*\\{$", "while $1 do"),
  row("^until\\s+(.+?)\\s+do;$", "until $1;"),
  row("^return\\s+(.+?);$", "exit($1);"),
  row("^(readln|read|writeln|write)\\s+([^(;][^;]*);$", "$1($2);"),
  row("^(\\w+)\\s*:?=\\s*(?:readln|read|input)(?:\\(\\))?;$", "readln($1);"),
  row("^(\\w+)\\s*([-+*/])=\\s*(.+?);$", "$1 := $1 $2 $3;"),
  row("^(.*?)\\s*&&\\s*", "$1 and "),
  row("^(.*?)\\s*\\|\\|\\s*", "$1 or "),
  row("^(.*?)\\s*!=\\s*", "$1 <> "),
  row("^(writeln|write)\\(('[^']*')\\s*\\+\\s*", "$1($2, "),
];
