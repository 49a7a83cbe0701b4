import fc from "fast-check";

/** Programs by chance, for tests: each comes to its end, and what it prints depends on everything in it. */

const wholes = ["deck", "cars", "tide"];
const reals = ["fare", "depth"];
const texts = ["name", "quay"];
const truths = ["full", "late"];

type Level = { depth: number; loops: number; inRoutine: boolean };

const pick = (...items: string[]) => fc.constantFrom(...items);
const small = fc.integer({ min: -9, max: 40 });

const wholeOf = (depth: number): fc.Arbitrary<string> =>
  depth === 0
    ? fc.oneof(
        pick(...wholes),
        small.map((value) => (value < 0 ? `(${value})` : String(value))),
      )
    : fc.oneof(
        wholeOf(0),
        fc
          .tuple(wholeOf(depth - 1), pick("+", "-", "*"), wholeOf(depth - 1))
          .map(([one, sign, other]) => `(${one} ${sign} ${other})`),
        fc
          .tuple(wholeOf(depth - 1), pick("DIV", "MOD"), fc.integer({ min: 1, max: 7 }), fc.boolean())
          .map(([one, sign, by, minus]) => `(${one} ${sign} ${minus ? `(-${by})` : by})`),
        fc
          .tuple(
            wholeOf(depth - 1),
            pick("DIV", "MOD"),
            pick("9007199254740983", "-9007199254740881", "4503599627370497"),
          )
          .map(([one, sign, by]) => `(${one} * 9007199254740977 ${sign} (${by}))`),
        fc.tuple(pick("INT", "FLOOR", "CEILING", "ROUND"), realOf(depth - 1)).map(([name, one]) => `${name}(${one})`),
        wholeOf(depth - 1).map((one) => `ABS(${one})`),
        fc.tuple(wholeOf(depth - 1), wholeOf(depth - 1)).map(([one, other]) => `MAX(${one}, ${other})`),
        pick(...texts).map((text) => `LENGTH(${text})`),
        wholeOf(depth - 1).map((one) => `twice(${one})`),
        pick("1", "2", "3").map((place) => `loads[${place}]`),
      );
const realOf = (depth: number): fc.Arbitrary<string> =>
  depth === 0
    ? fc.oneof(
        pick(...reals, "depths[0, 1]", "depths[1, 2]"),
        fc.integer({ min: 0, max: 400 }).map((value) => (value / 8).toFixed(3)),
      )
    : fc.oneof(
        realOf(0),
        fc
          .tuple(realOf(depth - 1), pick("+", "-"), wholeOf(0))
          .map(([one, sign, other]) => `(${one} ${sign} ${other})`),
        fc.tuple(wholeOf(depth - 1), fc.integer({ min: 1, max: 9 })).map(([one, by]) => `(${one} / ${by})`),
        fc
          .tuple(fc.oneof(realOf(depth - 1), wholeOf(0)), fc.integer({ min: -2, max: 3 }))
          .map(([one, places]) => `ROUND(${one}, ${places})`),
      );
const textOf = (depth: number): fc.Arbitrary<string> =>
  depth === 0
    ? fc.oneof(pick(...texts), pick('"Tern"', '"K 7"', '""', "'a \"b\"'"))
    : fc.oneof(
        textOf(0),
        fc
          .tuple(textOf(depth - 1), pick("+", "&"), textOf(depth - 1))
          .map(([one, sign, other]) => `(${one} ${sign} ${other})`),
        fc.tuple(textOf(0), wholeOf(1)).map(([one, other]) => `(${one} & ${other})`),
        textOf(depth - 1).map((one) => `UPPER(${one})`),
        fc.tuple(textOf(0), realOf(0)).map(([one, other]) => `(${one} & " " & ${other})`),
      );
const truthOf = (depth: number): fc.Arbitrary<string> =>
  depth === 0
    ? fc.oneof(pick(...truths), pick("TRUE", "FALSE"))
    : fc.oneof(
        truthOf(0),
        fc
          .tuple(wholeOf(depth - 1), pick("=", "≠", "<", "≤", ">", "≥"), fc.oneof(wholeOf(depth - 1), realOf(0)))
          .map(([one, sign, other]) => `(${one} ${sign} ${other})`),
        fc.tuple(textOf(0), pick("=", "<"), textOf(0)).map(([one, sign, other]) => `(${one} ${sign} ${other})`),
        fc
          .tuple(truthOf(depth - 1), pick("AND", "OR"), truthOf(depth - 1))
          .map(([one, sign, other]) => `(${one} ${sign} ${other})`),
        truthOf(depth - 1).map((one) => `(NOT ${one})`),
      );

const indented = (lines: string[]): string[] => lines.map((line) => `    ${line}`);

const simple: fc.Arbitrary<string[]> = fc.oneof(
  fc.tuple(pick(...wholes), wholeOf(2)).map(([name, value]) => [`${name} ← ${value} MOD 1009`]),
  fc
    .tuple(pick("0, 1", "1, 2"), fc.oneof(realOf(1), wholeOf(1)))
    .map(([place, value]) => [`depths[${place}] ← ${value}`]),
  fc.tuple(pick(...reals), realOf(2)).map(([name, value]) => [`${name} ← ${value}`]),
  fc.tuple(pick(...texts), textOf(1)).map(([name, value]) => [`${name} ← LEFT(${value} & "........", 8)`]),
  fc.tuple(pick(...truths), truthOf(2)).map(([name, value]) => [`${name} ← ${value}`]),
  fc.tuple(pick("1", "2", "3"), wholeOf(1)).map(([place, value]) => [`loads[${place}] ← ${value} MOD 1009`]),
  fc.oneof(wholeOf(1), realOf(1), textOf(1), truthOf(1)).map((value) => [`OUTPUT ${value}`]),
  fc.tuple(textOf(0), wholeOf(1), truthOf(1)).map((values) => [`OUTPUT ${values.join(', ": ", ')}`]),
  fc
    .tuple(pick("deck", "cars"), wholeOf(1))
    .map(([name, value]) => [`CALL raise(${name}, ${value})`, `${name} ← ${name} MOD 1009`]),
);

function statements({ depth, loops, inRoutine }: Level): fc.Arbitrary<string[]> {
  const inside = depth === 0 ? null : statements({ depth: depth - 1, loops: loops + 1, inRoutine });
  const one: fc.Arbitrary<string[]> =
    inside === null
      ? simple
      : fc.oneof(
          { weight: 4, arbitrary: simple },
          {
            weight: 1,
            arbitrary: fc
              .tuple(truthOf(2), inside, fc.option(inside), fc.option(fc.tuple(truthOf(1), inside)))
              .map(([condition, yes, no, more]) => [
                `IF ${condition} THEN`,
                ...indented(yes),
                ...(more ? [`ELSE IF ${more[0]} THEN`, ...indented(more[1])] : []),
                ...(no ? ["ELSE", ...indented(no)] : []),
                "ENDIF",
              ]),
          },
          {
            weight: 1,
            arbitrary: fc
              .tuple(fc.integer({ min: -2, max: 3 }), fc.integer({ min: -2, max: 3 }), pick("1", "2", "-1"), inside)
              .map(([from, to, step, body]) => [
                `FOR pass${loops} ← ${from} TO ${to}${step === "1" ? "" : ` STEP ${step}`}`,
                ...indented([`OUTPUT pass${loops}`, ...body]),
                `NEXT pass${loops}`,
              ]),
          },
          {
            weight: 1,
            arbitrary: fc
              .tuple(fc.integer({ min: 0, max: 3 }), truthOf(1), inside)
              .map(([times, condition, body]) => [
                `left${loops} ← ${times}`,
                `WHILE left${loops} > 0 AND (${condition} OR left${loops} > 1) DO`,
                ...indented([`left${loops} ← left${loops} - 1`, ...body]),
                "ENDWHILE",
              ]),
          },
          {
            weight: 1,
            arbitrary: fc
              .tuple(fc.integer({ min: 1, max: 3 }), inside)
              .map(([times, body]) => [
                `left${loops} ← ${times}`,
                "REPEAT",
                ...indented([`left${loops} ← left${loops} - 1`, ...body]),
                `UNTIL left${loops} ≤ 0`,
              ]),
          },
          {
            weight: 1,
            arbitrary: fc
              .tuple(wholeOf(1), inside, inside)
              .map(([value, small, rest]) => [
                `CASE OF ${value}`,
                "    1, 2:",
                ...indented(indented(small)),
                "    3 TO 9:",
                '        OUTPUT "some"',
                "    OTHERWISE",
                ...indented(indented(rest)),
                "ENDCASE",
              ]),
          },
        );
  return fc.array(one, { minLength: 1, maxLength: 4 }).map((all) => all.flat());
}

/** A whole program, with a function, a procedure that changes what it is given, an array, and values to begin with. */
export const programs: fc.Arbitrary<string> = statements({ depth: 3, loops: 0, inRoutine: false }).map((lines) =>
  [
    "FUNCTION deck0()",
    "    RETURN 9",
    "ENDFUNCTION",
    "FUNCTION twice(value)",
    "    IF value > 500 THEN",
    "        RETURN value",
    "    ENDIF",
    "    RETURN value * 2",
    "ENDFUNCTION",
    "PROCEDURE raise(BYREF load, by)",
    "    load ← load + by",
    "ENDPROCEDURE",
    "DECLARE loads : ARRAY[1:3] OF INTEGER",
    "DECLARE depths : ARRAY[0:1, 1:2] OF REAL",
    "depths[0, 1] ← 4",
    "depths[1, 2] ← deck0()",
    "DECLARE fare, depth : REAL",
    "loads[1] ← 4",
    "loads[2] ← 9",
    "loads[3] ← 16",
    "deck ← 7",
    "cars ← 3",
    "tide ← -2",
    "fare ← 4.5",
    "depth ← 12",
    'name ← "Tern"',
    'quay ← "Puffin Quay"',
    "full ← FALSE",
    "late ← TRUE",
    ...lines,
    ...["deck", "cars", "tide", "fare", "depth", "name", "full"].map((name) => `OUTPUT ${name}`),
    "",
  ].join("\n"),
);
