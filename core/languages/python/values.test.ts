import { expect, test } from "vitest";
import { plainValue } from "../../expressions/plainValue.ts";
import type { Value } from "../../trace/trace.ts";

/** What an expression is worth, as CPython 3.11 gives it, written as the program writes such a value. */
const values: ReadonlyArray<readonly [string, string]> = [
  ["7 // 2", "3"],
  ["-7 // 2", "-4"],
  ["7 % -3", "-2"],
  ["-7 % 3", "2"],
  ["7.5 // 2", "3.0"],
  ["-7.5 % 2", "0.5"],
  ["2 ** 10", "1024"],
  ["2 ** -1", "0.5"],
  ["-2 ** 2", "-4"],
  ["(-2) ** 3", "-8"],
  ["7 / 2", "3.5"],
  ["6 / 3", "2.0"],
  ["1e3", "1000.0"],
  ["0.1 + 0.2", "0.30000000000000004"],
  ["1 / 3", "0.3333333333333333"],
  ["10 ** 20", "100000000000000000000"],
  ["2.0 ** 0.5", "1.4142135623730951"],
  ["True + True", "2"],
  ["not 0", "True"],
  ["not ''", "True"],
  ["1 < 2 < 3", "True"],
  ["3 > 2 > 2", "False"],
  ["1 == 1.0", "True"],
  ["'a' < 'b'", "True"],
  ["'ab' + 'c'", "'abc'"],
  ["'ab' * 3", "'ababab'"],
  ["3 * 'ab'", "'ababab'"],
  ["'a' in 'tern'", "False"],
  ["'x' not in 'tern'", "True"],
  ["[1, 2] + [3]", "[1, 2, 3]"],
  ["[1, 2] * 2", "[1, 2, 1, 2]"],
  ["3 in [1, 2, 3]", "True"],
  ["len('tern')", "4"],
  ["len([1, 2, 3])", "3"],
  ["abs(-4)", "4"],
  ["abs(-4.5)", "4.5"],
  ["min(3, 1, 2)", "1"],
  ["max(3, 1, 2)", "3"],
  ["round(2.5)", "2"],
  ["round(3.5)", "4"],
  ["int('12')", "12"],
  ["int(3.9)", "3"],
  ["int(-3.9)", "-3"],
  ["str(12)", "'12'"],
  ["str(2.50)", "'2.5'"],
  ["bool('')", "False"],
  ["'tern'[0]", "'t'"],
  ["'tern'[-1]", "'n'"],
  ["[4, 5, 6][1]", "5"],
  ["[4, 5, 6][-1]", "6"],
  ["5 & 3", "1"],
  ["5 | 3", "7"],
  ["5 ^ 3", "6"],
  ["~5", "-6"],
  ["1 << 4", "16"],
  ["-16 >> 2", "-4"],
  ["1 if 2 > 1 else 3", "1"],
  ["1 and 0", "0"],
  ["0 or 'x'", "'x'"],
  ["None or 4", "4"],
  ["'' or 'empty'", "'empty'"],
  ["3 != 3.0", "False"],
  ["2 ** 3 ** 2", "512"],
  ["-3 ** 2", "-9"],
  ["7 - 2 - 1", "4"],
  ["100 // 7 % 4", "2"],
  ["'it\\'s'", '"it\'s"'],
  ["'two\\nlines'", "'two\\nlines'"],
  ['"she said \\"hi\\""', "'she said \"hi\"'"],
  ["1_000 + 1", "1001"],
  ["0x1F", "31"],
  ["0b101", "5"],
  ["0o17", "15"],
  ["1.5e-3", "0.0015"],
  ["float(7)", "7.0"],
  ["str(True)", "'True'"],
  ["str(None)", "'None'"],
  ["1.0", "1.0"],
  ["100.0", "100.0"],
  ["1e16", "1e+16"],
  ["123456789012345678", "123456789012345678"],
  ["sum([1, 2, 3])", "6"],
  ["'a' == \"a\"", "True"],
  ["[1, 2] == [1, 2]", "True"],
  ["(1, 2)[0]", "1"],
  ["int(True)", "1"],
];

test.each(values)("%s is %s", (expression, value) => {
  expect(plainValue("python", expression)).toEqual({ written: value });
});

test.each([
  ["5 // 0", "ZeroDivisionError: integer division or modulo by zero"],
  ["5 % 0", "ZeroDivisionError: integer modulo by zero"],
  ["1 / 0", "ZeroDivisionError: division by zero"],
  ["5.0 // 0", "ZeroDivisionError: float floor division by zero"],
  ["5.0 % 0", "ZeroDivisionError: float modulo"],
  ["5.0 / 0", "ZeroDivisionError: float division by zero"],
  ["0 ** -1", "ZeroDivisionError: 0.0 cannot be raised to a negative power"],
  ["1 << -1", "ValueError: negative shift count"],
  ["'a' + 1", 'TypeError: can only concatenate str (not "int") to str'],
  ["int('x')", "ValueError: invalid literal for int() with base 10: 'x'"],
  ["[1][3]", "IndexError: list index out of range"],
  ["'abc'[7]", "IndexError: string index out of range"],
  ["1 < 'a'", "TypeError: '<' not supported between instances of 'int' and 'str'"],
  ["-'a'", "TypeError: bad operand type for unary -: 'str'"],
  ["len(5)", "TypeError: object of type 'int' has no len()"],
])("%s stops the program: %s", (expression, why) => {
  expect(plainValue("python", expression)).toEqual({ stops: why });
});

const int = (text: string): Value => ({ type: "int", text });
const names: Readonly<Record<string, Value>> = {
  cars: int("3"),
  tide: { type: "float", text: "2.5" },
  boat: { type: "str", text: "'Tern'" },
  sails: { type: "bool", text: "True" },
  master: { type: "NoneType", text: "None" },
  loads: { type: "list", id: 1, shape: "list", items: [{ value: int("4") }, { value: int("9") }, { value: int("2") }] },
  decks: {
    ...{ type: "list", id: 2, shape: "list" },
    items: [
      { value: { type: "list", id: 3, shape: "list", items: [{ value: int("1") }] } },
      { value: { type: "list", id: 4, shape: "list", items: [{ value: int("7") }, { value: int("8") }] } },
    ],
  },
};

test.each([
  ["cars + 1", "4"],
  ["cars * tide", "7.5"],
  ["boat + '!'", "'Tern!'"],
  ["boat[0] + boat[-1]", "'Tn'"],
  ["sails and cars", "3"],
  ["master or boat", "'Tern'"],
  ["master is None", "True"],
  ["not master", "True"],
  ["loads[0] + loads[-1]", "6"],
  ["loads[cars - 1]", "2"],
  ["len(loads)", "3"],
  ["9 in loads", "True"],
  ["max(loads)", "9"],
  ["sum(loads) / len(loads)", "5.0"],
  ["decks[1][0]", "7"],
  ["len(decks[1]) + len(decks[0])", "3"],
  ["loads == [4, 9, 2]", "True"],
  ["cars > 2 and tide < 3", "True"],
  ["'many' if cars > 5 else 'few'", "'few'"],
  ["-cars ** 2", "-9"],
])("with what names hold, %s is %s", (expression, value) => {
  expect(plainValue("python", expression, names)).toEqual({ written: value });
});

test.each([
  ["loads[3]", "IndexError: list index out of range"],
  ["loads[-4]", "IndexError: list index out of range"],
  ["decks[0][1]", "IndexError: list index out of range"],
  ["boat + cars", 'TypeError: can only concatenate str (not "int") to str'],
  ["cars + boat", "TypeError: unsupported operand type(s) for +: 'int' and 'str'"],
  ["master + 1", "TypeError: unsupported operand type(s) for +: 'NoneType' and 'int'"],
  ["loads[0] // (cars - 3)", "ZeroDivisionError: integer division or modulo by zero"],
  ["boat < cars", "TypeError: '<' not supported between instances of 'str' and 'int'"],
])("with what names hold, %s stops the program: %s", (expression, why) => {
  expect(plainValue("python", expression, names)).toEqual({ stops: why });
});

test.each([
  ["a name that holds nothing", "crew + 1"],
  ["a call of the program's own", "fare(cars)"],
  ["a text with signs that are not taken apart", "'\\x41' + boat"],
  ["a piece of a list", "loads[0:2]"],
  ["chance", "random.randint(1, 6)"],
])("nothing is guessed of %s", (_, expression) => {
  expect(plainValue("python", expression, names)).toHaveProperty("unknown");
});
