import { type Lines, lineRows } from "../lineRows.ts";

const row = lineRows();

/** Lines as other languages write them, in Octave. */
export const octaveLinesElsewhere: Lines = [
  row("^(function\\s+(?:\\w+\\s*=\\s*)?\\w+)\\s+(\\w+)$", "$1($2)", 3),
  row("^(?:def|func)\\s+(\\w+\\s*\\(.*\\))\\s*[:{]?$", "function $1"),
  row("^for(?:each)?\\s*\\(\\s*(\\w+)\\s*(?:\\bin\\b|:|=|\\bof\\b)\\s*(\\w+)\\s*\\)\\s*\\{?$", "for $1 = $2", 3),
  row("^foreach\\s+(\\w+)\\s+(?:in|of|=)\\s+(\\w+)$", "for $1 = $2"),
  row("^for\\s+(\\w+)\\s*=\\s*(\\w+)\\s*(?:\\bto\\b|,|\\.\\.+)\\s*(.+)$", "for $1 = $2:$3"),
  row("=\\s*\\[('[^']*'(?:\\s*,\\s*'[^']*')+)\\]", "= {$1}", 2),
  row("=\\s*\\{([\\d\\s,.-]+)\\}", "= [$1]", 2),
  row("(\\}|\\)|\\w)\\s+('[^']*')\\)", "$1, $2)", 3),
  row("^(\\w+)\\s*([-+])\\2;?$", "$1 = $1 $2 1;"),
];
