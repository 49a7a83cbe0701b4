import { type Lines, lineRows } from "../lineRows.ts";

const row = lineRows();

/** Lines as other languages write them, in Python. */
export const pythonLinesElsewhere: Lines = [
  row("^(\\w+)\\[\\]\\s*=(?!=)", "$1 ="),
  row("(\\{|,\\s*)(\"[^\"]*\"|'[^']*')\\s*=\\s*(?!=)", "$1$2: "),
  row("^(\\w+\\s*=\\s*)\\[((?:\"[^\"]*\"|'[^']*')\\s*:.*)\\]$", "$1{$2}"),
  row("^(\\w+\\s*=\\s*)\\{([^:{}]+)\\}$", "$1[$2]", 2),
  row("\\b(?:int|Integer)\\.[pP]arse(?:Int)?\\(", "int("),
  row("\\bnew\\s+(?=[A-Z])", ""),
  row("^[A-Z]\\w*\\s+(\\w+\\s*=\\s*[A-Z]\\w*\\()", "$1"),
  row("^(\\w+\\[\\w+\\])\\s*([-+*/])\\s*([\\w.]+)$", "$1 = $1 $2 $3"),
  row("^((?:[^\"']|\"[^\"]*\"|'[^']*')*?)\\s*\\|\\|\\s*", "$1 or "),
  row("^((?:[^\"']|\"[^\"]*\"|'[^']*')*?)\\s*&&\\s*", "$1 and "),
  row('("[^"]*")\\s+is\\s+(?=\\w+\\b)', "$1 in ", 2),
];
