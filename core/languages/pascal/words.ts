const words =
  "writeln write readln read integer real boolean char string longint word byte int64 double single extended shortstring ansistring array record true false maxint result self " +
  "length copy pos delete insert concat str val upcase lowercase uppercase ord chr succ pred abs sqr sqrt sin cos round trunc frac random randomize inc dec setlength high low " +
  "inttostr strtoint floattostr strtofloat format assign reset rewrite append close eof eoln halt exit break continue new dispose sysutils classes math crt input output " +
  "exception edivbyzero erangeerror econverterror eaccessviolation create free message main";

/**
 * Common words of Object Pascal's run-time library (Free Pascal: units system, sysutils, math), as they are usually
 * written.
 */
export const pascalWords: readonly string[] = words
  .split(" ")
  .flatMap((word) => [word, word.charAt(0).toUpperCase() + word.slice(1), word.toUpperCase()])
  .concat(
    "WriteLn ReadLn IntToStr StrToInt FloatToStr StrToFloat SetLength UpCase SysUtils MaxInt LongInt AnsiString ShortString EDivByZero ERangeError EConvertError EAccessViolation".split(
      " ",
    ),
  );
