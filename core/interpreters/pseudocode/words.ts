/** Words of the language, each with the spellings that are read, the first one being the usual. Letter case does not count. */
export const spellings = {
  if: ["IF"],
  // biome-ignore lint/suspicious/noThenProperty: a word of the language, of nothing that is awaited
  then: ["THEN"],
  else: ["ELSE"],
  elseif: ["ELSEIF", "ELIF", "ELSIF"],
  endif: ["ENDIF", "FI"],
  case: ["CASE", "SWITCH", "SELECT"],
  of: ["OF"],
  otherwise: ["OTHERWISE", "DEFAULT"],
  endcase: ["ENDCASE", "ENDSWITCH", "ENDSELECT"],
  for: ["FOR"],
  each: ["EACH"],
  in: ["IN"],
  from: ["FROM"],
  to: ["TO"],
  step: ["STEP"],
  do: ["DO"],
  next: ["NEXT"],
  endfor: ["ENDFOR"],
  while: ["WHILE"],
  endwhile: ["ENDWHILE", "WEND"],
  repeat: ["REPEAT"],
  until: ["UNTIL"],
  procedure: ["PROCEDURE", "SUBROUTINE", "SUB"],
  endprocedure: ["ENDPROCEDURE", "ENDSUBROUTINE", "ENDSUB"],
  function: ["FUNCTION"],
  endfunction: ["ENDFUNCTION"],
  return: ["RETURN"],
  returns: ["RETURNS"],
  call: ["CALL"],
  byref: ["BYREF", "BYREFERENCE"],
  byval: ["BYVAL", "BYVALUE"],
  declare: ["DECLARE"],
  constant: ["CONSTANT", "CONST"],
  array: ["ARRAY"],
  type: ["TYPE", "RECORD"],
  endtype: ["ENDTYPE", "ENDRECORD"],
  output: ["OUTPUT", "PRINT", "DISPLAY", "WRITE"],
  input: ["INPUT", "READ", "GET"],
  userinput: ["USERINPUT"],
  set: ["SET"],
  openfile: ["OPENFILE"],
  readfile: ["READFILE"],
  writefile: ["WRITEFILE"],
  closefile: ["CLOSEFILE"],
  and: ["AND"],
  or: ["OR"],
  not: ["NOT"],
  div: ["DIV"],
  mod: ["MOD"],
  true: ["TRUE"],
  false: ["FALSE"],
  stop: ["STOP"],
  begin: ["BEGIN", "START"],
  end: ["END"],
} as const satisfies Readonly<Record<string, readonly string[]>>;

export type Word = keyof typeof spellings;

const wordOf = new Map<string, Word>(
  (Object.entries(spellings) as Array<[Word, readonly string[]]>).flatMap(([word, all]) =>
    all.map((spelling) => [spelling, word] as const),
  ),
);

/** The word that a name is a spelling of, or undefined. */
export const findWord = (text: string): Word | undefined => wordOf.get(text.toUpperCase());

/** Words that close what another opens, also written as two: `END IF`. */
const endings: Readonly<Partial<Record<Word, Word>>> = {
  ...{ if: "endif", case: "endcase", for: "endfor", while: "endwhile", procedure: "endprocedure" },
  ...{ function: "endfunction", type: "endtype" },
};

/** What `END` and a word behind it are together; undefined where they are nothing. */
export const endOf = (word: Word): Word | undefined => endings[word];

/** Types of values by the spellings that are read. */
export const typeSpellings: Readonly<Record<string, "integer" | "real" | "text" | "character" | "truth">> = {
  ...{ INTEGER: "integer", INT: "integer", REAL: "real", FLOAT: "real", STRING: "text", TEXT: "text" },
  ...{ CHAR: "character", CHARACTER: "character", BOOLEAN: "truth", BOOL: "truth" },
};

/** Every spelling, for whoever tells words from names. */
export const allSpellings: readonly string[] = [...wordOf.keys()];
