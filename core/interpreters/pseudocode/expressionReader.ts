import type { Cursor } from "./cursor.ts";
import type { BinarySign, Expression, TypeName } from "./syntaxTree.ts";
import { typeSpellings } from "./words.ts";

export const anyType: TypeName = { is: "any" };

/** Brackets and signs that lie in one another deeper than this are not read. */
const deepest = 150;
/** More values than these in a row are not read. */
const longest = 500;

/** Reads expressions, types and targets where the cursor stands. */
export function createExpressionReader({
  now,
  ahead,
  place,
  isWord,
  isSign,
  fail,
  take,
  taken,
  takenSign,
  seen,
  needSign,
  needName,
}: Cursor) {
  let depth = 0;
  /** Reads what lies inside of something; what lies too deep is said, since reading it takes room. */
  const deeper = (read: () => Expression): Expression => {
    if (depth >= deepest) fail("nested too deeply", `More than ${deepest} brackets or signs lie in one another here.`);
    depth += 1;
    try {
      return read();
    } finally {
      depth -= 1;
    }
  };

  // Expressions, from what binds least to what binds most.
  const binary = (next: () => Expression, signOf: () => BinarySign | null) => (): Expression => {
    let left = next();
    let count = 0;
    for (let sign = signOf(); sign !== null; sign = signOf()) {
      count += 1;
      if (count > longest) fail("too long", `More than ${longest} values stand in a row here.`);
      const where = place(take());
      left = { ...where, is: "binary", sign, left, right: next() };
    }
    return left;
  };
  const signIn =
    (...all: BinarySign[]) =>
    (): BinarySign | null =>
      isSign(...all) ? (now().text as BinarySign) : null;
  const primary = (): Expression => {
    const lexeme = now();
    const where = place(lexeme);
    if (lexeme.kind === "number") {
      take();
      const value =
        lexeme.whole && !Number.isSafeInteger(Number(lexeme.text)) ? BigInt(lexeme.text) : Number(lexeme.text);
      return { ...where, is: "number", value, whole: lexeme.whole };
    }
    if (lexeme.kind === "text") {
      take();
      return { ...where, is: "text", value: lexeme.value };
    }
    if (taken("true")) return { ...where, is: "truth", value: true };
    if (taken("false")) return { ...where, is: "truth", value: false };
    if (isWord("userinput") || (isWord("input") && (ahead().kind === "line" || ahead().kind === "end"))) {
      take();
      return { ...where, is: "input" };
    }
    if (takenSign("(")) {
      const inside = expression();
      needSign(")", "Behind what stands in brackets");
      return inside;
    }
    if (takenSign("[")) {
      const items = isSign("]") ? [] : listOf();
      needSign("]", "Behind the items of a list");
      return { ...where, is: "list", items };
    }
    if (lexeme.kind === "name") {
      take();
      return { ...where, is: "name", name: lexeme.text };
    }
    if (isWord("elseif", "then", "do", "to", "step", "of"))
      return fail("expression missing", `Before ${lexeme.text} a value is missing.`);
    return fail("expression missing", `Here should be a value; here is ${seen(lexeme)}.`);
  };
  const listOf = (): Expression[] => {
    const items = [expression()];
    while (takenSign(",")) items.push(expression());
    return items;
  };
  const postfix = (): Expression => {
    let left = primary();
    for (let count = 0; ; count++) {
      if (count > deepest)
        fail("nested too deeply", `More than ${deepest} positions and fields follow one another here.`);
      const where = place(now());
      if (isSign("(") && left.is === "name") {
        take();
        const given = isSign(")") ? [] : listOf();
        needSign(")", "Behind what is given to it");
        left = { ...place(left), is: "call", name: left.name, given };
      } else if (takenSign("[")) {
        const places = listOf();
        needSign("]", "Behind the position");
        left = { ...place(left), is: "index", of: left, places };
      } else if (takenSign(".")) {
        const name = needName("the name of a field").text;
        left = { ...where, is: "field", of: left, name };
      } else return left;
    }
  };
  const power = (): Expression => {
    const left = postfix();
    if (!isSign("^")) return left;
    const where = place(take());
    return { ...where, is: "binary", sign: "^", left, right: deeper(unary) };
  };
  const unary = (): Expression => {
    const where = place(now());
    if (takenSign("-")) return { ...where, is: "unary", sign: "-", of: deeper(unary) };
    if (takenSign("+")) return deeper(unary);
    return power();
  };
  const product = binary(unary, () => (isWord("div") ? "div" : isWord("mod") ? "mod" : signIn("*", "/")()));
  const sum = binary(product, signIn("+", "-", "&"));
  const comparison = (): Expression => {
    const left = sum();
    if (!isSign("=", "≠", "<", "≤", ">", "≥")) return left;
    const sign = now().text as BinarySign;
    const where = place(take());
    const right = sum();
    if (isSign("=", "≠", "<", "≤", ">", "≥"))
      fail(
        "comparisons in a chain",
        "Only two values are compared at a time: write both comparisons and join them with AND.",
      );
    return { ...where, is: "binary", sign, left, right };
  };
  const negation = (): Expression => {
    const where = place(now());
    return taken("not") ? { ...where, is: "unary", sign: "not", of: deeper(negation) } : comparison();
  };
  const conjunction = binary(negation, () => (isWord("and") ? "and" : null));
  const disjunction = binary(conjunction, () => (isWord("or") ? "or" : null));
  const expression = (): Expression => deeper(disjunction);

  /** The bounds of an array, in brackets, and what it holds. */
  const arrayType = (after: string): TypeName => {
    if (!isSign("[") || ahead().text === "]")
      fail("bounds missing", `${after} its bounds are missing: the first and the last position, as in [1:5].`);
    needSign("[", after);
    const bounds: Array<readonly [Expression, Expression]> = [];
    do {
      const from = expression();
      if (takenSign(":") || taken("to")) bounds.push([from, expression()]);
      else bounds.push([{ ...place(from), is: "number", value: 1, whole: true }, from]);
    } while (takenSign(","));
    needSign("]", "Behind the bounds of an array");
    return { is: "array", bounds, of: taken("of") ? typeName() : anyType };
  };
  const typeName = (): TypeName => {
    if (taken("array")) return arrayType("Behind ARRAY");
    const lexeme = needName("a type");
    const known = typeSpellings[lexeme.text.toUpperCase()];
    return known ? { is: known } : { is: "record", name: lexeme.text };
  };

  /** The target of an assignment or an input: a name, an element, or a field. */
  const target = (): Expression => {
    if (now().kind === "word")
      fail("word as name", `${now().text} is a word of the language and cannot be given a value.`);
    return asTarget(postfix());
  };
  const asTarget = (found: Expression): Expression =>
    found.is === "name" || found.is === "index" || found.is === "field"
      ? found
      : fail("no target", "Only a name, an element or a field can be given a value.", found);
  return { expression, sum, listOf, postfix, typeName, arrayType, target, asTarget };
}
