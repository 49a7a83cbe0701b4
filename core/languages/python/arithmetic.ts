import { floorDivision, floorRest, raises, real, text, truth, unknown, whole } from "../../expressions/known.ts";
import { power } from "../../expressions/power.ts";
import type { Answer } from "../../expressions/rules.ts";

export const int = (value: bigint | number) => whole(value, "int");
export const float = (value: number) => real(value, "float");
export const bool = (value: boolean) => truth(value, "bool");
export const string = (value: string) => text(value, "str");

/** Digits beyond which whole numbers are not worked out here. */
const mostDigits = 400;

/** An operation of two whole numbers. */
export function wholeNumbers(sign: string, left: bigint, right: bigint): Answer {
  if (sign === "+") return int(left + right);
  if (sign === "-") return int(left - right);
  if (sign === "*") return int(left * right);
  if (sign === "/") {
    if (right === 0n) return raises("ZeroDivisionError: division by zero");
    const [one, other] = [Number(left), Number(right)];
    if (!Number.isSafeInteger(one) || !Number.isSafeInteger(other))
      return unknown("These numbers are too large to be divided here.");
    return float(one / other);
  }
  if (sign === "//" || sign === "%") {
    // The two say it differently since 3.11.
    if (right === 0n)
      return raises(
        `ZeroDivisionError: ${sign === "//" ? "integer division or modulo by zero" : "integer modulo by zero"}`,
      );
    return int(sign === "//" ? floorDivision(left, right) : floorRest(left, right));
  }
  if (sign === "**") {
    if (right < 0n)
      return left === 0n
        ? raises("ZeroDivisionError: 0.0 cannot be raised to a negative power")
        : realNumbers(sign, Number(left), Number(right));
    if (right * BigInt(left.toString().length) > BigInt(mostDigits)) return unknown("The number becomes too large.");
    return int(left ** right);
  }
  if (sign === "&") return int(left & right);
  if (sign === "|") return int(left | right);
  if (sign === "^") return int(left ^ right);
  if (right < 0n) return raises("ValueError: negative shift count");
  if (right > 1000n) return unknown("The number becomes too large.");
  return int(sign === "<<" ? left << right : left >> right);
}

/** An operation of two numbers of which one is a float. */
export function realNumbers(sign: string, left: number, right: number): Answer {
  if (sign === "+") return float(left + right);
  if (sign === "-") return float(left - right);
  if (sign === "*") return float(left * right);
  if (sign === "/") return right === 0 ? raises("ZeroDivisionError: float division by zero") : float(left / right);
  if (sign === "//" || sign === "%") {
    if (right === 0)
      return raises(`ZeroDivisionError: ${sign === "//" ? "float floor division by zero" : "float modulo"}`);
    return float(floatDivision(left, right)[sign === "//" ? 0 : 1]);
  }
  if (sign !== "**") return unknown("This is not worked out here.");
  if (left === 0 && right < 0) return raises("ZeroDivisionError: 0.0 cannot be raised to a negative power");
  if (left < 0 && !Number.isInteger(right)) return unknown("The result is a complex number.");
  const found = power(left, right);
  if (found === null) return unknown("So large or uneven a power is not worked out here.");
  return Number.isFinite(found) || !Number.isFinite(left) || !Number.isFinite(right)
    ? float(found)
    : raises("OverflowError: (34, 'Numerical result out of range')");
}

/** What `//` and `%` give for floats (CPython, `_float_div_mod` in Objects/floatobject.c). */
function floatDivision(left: number, right: number): [number, number] {
  let rest = left % right;
  let quotient = (left - rest) / right;
  if (rest !== 0) {
    if (right < 0 !== rest < 0) {
      rest += right;
      quotient -= 1;
    }
  } else rest = right < 0 ? -0 : 0;
  let floor = 0;
  if (quotient !== 0) {
    floor = Math.floor(quotient);
    if (quotient - floor > 0.5) floor += 1;
  } else floor = left / right < 0 || Object.is(left / right, -0) ? -0 : 0;
  return [floor, rest];
}
