/**
 * Built-in names of Python and common words of its standard library (Python Language Reference, Built-in Functions and
 * Exceptions).
 */
export const pythonWords: readonly string[] = (
  "abs all any ascii bin bool bytearray bytes callable chr classmethod compile complex delattr dict dir divmod enumerate eval exec filter float format " +
  "frozenset getattr globals hasattr hash help hex id input int isinstance issubclass iter len list locals map max memoryview min next object oct open ord " +
  "pow print property range repr reversed round set setattr slice sorted staticmethod str sum super tuple type vars zip self cls " +
  "append extend insert remove pop clear index count sort reverse copy keys values items get update setdefault split join strip upper lower title capitalize " +
  "replace find startswith endswith isdigit isalpha isalnum read write close readline readlines sys os math random time datetime json csv re string " +
  "Exception BaseException ValueError TypeError NameError IndexError KeyError ZeroDivisionError AttributeError FileNotFoundError ImportError " +
  "ModuleNotFoundError OverflowError RecursionError RuntimeError StopIteration SyntaxError IndentationError UnboundLocalError EOFError OSError " +
  "AssertionError NotImplementedError KeyboardInterrupt SystemExit True False None main name init"
).split(" ");
