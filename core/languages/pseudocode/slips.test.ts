import { slipsIn, slipsOf } from "../../edits/slipsOf.ts";

const counted = `total ← 0
FOR car ← 1 TO 3
    total ← total + car
NEXT car
OUTPUT total
`;

const decided = `INPUT height
IF height > 3 THEN
    OUTPUT "high"
ELSE
    OUTPUT "low"
ENDIF
`;

const joined = `INPUT a
INPUT b
IF a > 3 AND b < 9 THEN
    OUTPUT "in"
ELSE
    OUTPUT "out"
ENDIF
`;

const twice = `INPUT a
IF a > 3 AND a < 9 THEN
    OUTPUT "in"
ELSE
    OUTPUT "out"
ENDIF
`;

const waning = `load ← 3
WHILE load > 0 DO
    OUTPUT load
    load ← load - 1
ENDWHILE
`;

const repeated = `count ← 0
REPEAT
    count ← count + 1
UNTIL count = 4
OUTPUT count
`;

const given = `FUNCTION fare(age)
    IF age < 15 THEN
        RETURN 3
    ENDIF
    RETURN 8
ENDFUNCTION
OUTPUT fare(14)
`;

const row = `cars ← [4, 9, 2]
OUTPUT cars[1]
OUTPUT LENGTH(cars)
`;

const rest = `OUTPUT 17 MOD 5
OUTPUT 17 DIV 5
`;

const text = `INPUT name
IF name = "Tern" THEN
    OUTPUT "Boat " & name
ENDIF
`;

const negated = `x ← 5
IF NOT x = 4 THEN
    OUTPUT "no"
ENDIF
`;

const declared = `DECLARE cars : ARRAY[1:3] OF INTEGER
FOR i ← 1 TO 3
    cars[i] ← i * 2
NEXT i
OUTPUT cars[3]
`;

const cases = `INPUT code
CASE OF code
    1: OUTPUT "north"
    2: OUTPUT "south"
    OTHERWISE OUTPUT "none"
ENDCASE
`;

const called = `PROCEDURE greet(name)
    OUTPUT "Welcome aboard " & name
ENDPROCEDURE
CALL greet("Tern")
`;

const largest = `largest ← 0
FOR EACH load IN [4, 9, 2]
    IF load > largest THEN
        largest ← load
    ENDIF
NEXT
OUTPUT largest
`;

// As beginners write them who know another language, or none yet.
slipsOf("pseudocode", [
  ...slipsIn(counted, [
    ["refused", "other-forms", "NEXT car", "NEXT total"],
    ["refused", "other-forms", "FOR car ← 1 TO 3", "FOR car IN 1 TO 3"],
    ["refused", "other-forms", "FOR car ← 1 TO 3", "FOR car ← 1, 3"],
    ["refused", "other-forms", "FOR car ← 1 TO 3", "FOR car ← 1..3"],
    ["refused", "other-forms", "FOR car ← 1 TO 3", "FOR car ← 1 TO 3 {"],
    ["refused", "constant", "FOR car ← 1 TO 3", "FOR car ← 1 TO 2"],
    ["refused", "other-forms", "total ← total + car", "total += car"],
    ["refused", "other-forms", "total ← total + car", "total + car → total"],
    ["refused", "accumulation", "total ← total + car", "total ← car"],
    ["refused", "text-or-number", "OUTPUT total", 'OUTPUT "total"'],
    ["refused", "name", "OUTPUT total", "OUTPUT totl"],
    ["refused", "other-forms", "OUTPUT total", "OUTPUTtotal"],
    ["refused", "word", "OUTPUT total", "OUTPT total"],
    ["refused", "bracket", "OUTPUT total", "OUTPUT (total"],
    ["refused", "text-or-number", "total ← 0", 'total ← "0"'],
    ["refused", "first-value", "total ← 0\n", ""],
    ["refused", "sign", "total ← 0", "total == 0"],
    ["refused", "sign", "total ← 0", "total 0"],
    ["refused", "swapped", "total ← 0", "0 ← total"],
    ["refused", "other-forms", "total ← 0", "int total ← 0"],
    ["refused", "other-forms", "total ← 0", "var total ← 0"],
  ]),
  ...slipsIn(decided, [
    ["refused", "word", "IF height > 3 THEN\n", "IF height > 3\n"],
    ["refused", "other-forms", "IF height > 3 THEN\n", "IF height > 3:\n"],
    ["refused", "other-forms", "IF height > 3 THEN\n", "IF height > 3 THAN\n"],
    ["refused", "other-forms", "IF height > 3 THEN\n", "IF height > 3 DO\n"],
    ["refused", "other-forms", "IF height > 3 THEN\n", "WHEN height > 3 THEN\n"],
    ["refused", "other-forms", "ELSE\n", "ELSE THEN\n"],
    ["refused", "other-forms", "ELSE\n", "ELSE:\n"],
    ["refused", "other-forms", "ELSE\n", "OTHERWISE\n"],
    ["refused", "other-forms", "ELSE\n", "ELSE height <= 3\n"],
    ["refused", "other-forms", "ENDIF\n", "END\n"],
    ["refused", "other-forms", "ENDIF\n", "ENDWHILE\n"],
    ["refused", "block-end", "ENDIF\n", ""],
    ["refused", "text-or-number", 'OUTPUT "high"\n', "OUTPUT high\n"],
    ["refused", "quote", 'OUTPUT "high"\n', 'OUTPUT "high\n'],
    ["refused", "comparison", "IF height > 3 THEN", "IF height < 3 THEN"],
    ["refused", "text-or-number", "IF height > 3 THEN", 'IF height > "3" THEN'],
    ["refused", "other-forms", "INPUT height\n", "height ← INPUT()\n"],
    ["refused", "other-forms", "INPUT height\n", 'INPUT "height"\n'],
  ]),
  ...slipsIn(joined, [
    ["refused", "word", "IF a > 3 AND b < 9 THEN", "IF a > 3 && b < 9 THEN"],
    ["refused", "logic-word", "IF a > 3 AND b < 9 THEN", "IF a > 3 OR b < 9 THEN"],
  ]),
  ...slipsIn(twice, [["refused", "other-forms", "IF a > 3 AND a < 9 THEN", "IF a > 3 AND < 9 THEN"]]),
  ...slipsIn(waning, [
    ["refused", "other-forms", "WHILE load > 0 DO", "WHILE load > 0 THEN"],
    ["refused", "other-forms", "WHILE load > 0 DO", "WHILE load > 0:"],
    ["refused", "comparison", "WHILE load > 0 DO", "WHILE load < 0 DO"],
    ["refused", "comparison", "WHILE load > 0 DO", "WHILE load >= 0 DO"],
    ["refused", "other-forms", "    load ← load - 1\n", "    load--\n"],
    ["refused", "sign", "    load ← load - 1\n", "    load - 1\n"],
    ["refused", "arithmetic", "    load ← load - 1\n", "    load ← load + 1\n"],
    ["refused", "other-forms", "ENDWHILE\n", "LOOP\n"],
    ["refused", "other-forms", "ENDWHILE\n", "NEXT load\n"],
    ["refused", "block-end", "ENDWHILE\n", ""],
  ]),
  ...slipsIn(repeated, [
    ["refused", "equality-sign", "UNTIL count = 4", "UNTIL count ← 4"],
    ["refused", "comparison", "UNTIL count = 4", "UNTIL count < 4"],
    ["refused", "other-forms", "count ← count + 1", "count ← count++"],
    ["refused", "other-forms", "count ← count + 1", "count++"],
  ]),
  ...slipsIn(given, [
    ["refused", "other-forms", "RETURN 3", "RETURNS 3"],
    ["refused", "call-brackets", "OUTPUT fare(14)", "OUTPUT fare 14"],
    ["refused", "bracket", "OUTPUT fare(14)", "OUTPUT fare(14"],
    ["refused", "name", "OUTPUT fare(14)", "OUTPUT Fares(14)"],
    ["refused", "other-forms", "OUTPUT fare(14)", "OUTPUT CALL fare(14)"],
    ["refused", "other-forms", "FUNCTION fare(age)\n", "DEF fare(age)\n"],
    ["refused", "other-forms", "FUNCTION fare(age)\n", "def fare(age):\n"],
    ["refused", "other-forms", "FUNCTION fare(age)\n", "function fare(age) {\n"],
    ["refused", "other-forms", "ENDFUNCTION\n", "END\n"],
    ["refused", "other-forms", "ENDFUNCTION\n", "ENDPROCEDURE\n"],
    ["refused", "other-forms", "FUNCTION fare(age)\n", "PROCEDURE fare(age)\n"],
  ]),
  ...slipsIn(row, [
    ["refused", "other-forms", "cars ← [4, 9, 2]", "cars ← (4, 9, 2)"],
    ["refused", "other-forms", "cars ← [4, 9, 2]", "cars ← {4, 9, 2}"],
    ["refused", "other-forms", "cars ← [4, 9, 2]", "cars ← 4, 9, 2"],
    ["refused", "other-forms", "OUTPUT cars[1]", "OUTPUT cars(1)"],
    ["refused", "constant", "OUTPUT cars[1]", "OUTPUT cars[0]"],
    ["refused", "other-forms", "OUTPUT cars[1]", "OUTPUT cars{1}"],
    ["refused", "bracket", "OUTPUT cars[1]", "OUTPUT cars[1"],
    ["refused", "other-forms", "OUTPUT LENGTH(cars)", "OUTPUT cars.LENGTH"],
    ["refused", "other-forms", "OUTPUT LENGTH(cars)", "OUTPUT cars.length()"],
    ["refused", "other-forms", "OUTPUT LENGTH(cars)", "OUTPUT LENGTH cars"],
    ["refused", "other-forms", "OUTPUT LENGTH(cars)", "OUTPUT SIZE(cars)"],
  ]),
  ...slipsIn(rest, [
    ["refused", "other-forms", "17 MOD 5", "17 % 5"],
    ["refused", "arithmetic", "17 DIV 5", "17 / 5"],
    ["refused", "other-forms", "17 MOD 5", "MOD(17, 5)"],
    ["refused", "arithmetic", "17 MOD 5\nOUTPUT", "17 DIV 5\nOUTPUT"],
  ]),
  ...slipsIn(text, [
    ["refused", "equality-sign", 'IF name = "Tern" THEN', 'IF name ← "Tern" THEN'],
    ["refused", "text-or-number", 'IF name = "Tern" THEN', "IF name = Tern THEN"],
    ["refused", "text-literal", 'IF name = "Tern" THEN', 'IF name = "tern" THEN'],
    ["refused", "quote", 'OUTPUT "Boat " & name', "OUTPUT 'Boat \" & name"],
  ]),
  ...slipsIn(negated, [
    ["refused", "word", "IF NOT x = 4 THEN", "IF !x = 4 THEN"],
    ["refused", "other-forms", "IF NOT x = 4 THEN", "IF x NOT = 4 THEN"],
  ]),
  ...slipsIn(declared, [
    ["refused", "other-forms", "ARRAY[1:3]", "ARRAY[1,3]"],
    ["refused", "other-forms", "ARRAY[1:3]", "ARRAY(1:3)"],
    ["refused", "other-forms", "ARRAY[1:3]", "ARRAY[1..3]"],
    ["refused", "other-forms", "DECLARE cars : ARRAY", "DECLARE cars ARRAY"],
    ["refused", "other-forms", "DECLARE cars : ARRAY", "DECLARE cars AS ARRAY"],
    ["refused", "declaration", "OF INTEGER\n", "OF STRING\n"],
    ["refused", "constant", "FOR i ← 1 TO 3", "FOR i ← 0 TO 3"],
    ["refused", "constant", "FOR i ← 1 TO 3", "FOR i ← 1 TO 4"],
    ["refused", "other-name", "cars[i] ← i * 2", "cars[1] ← i * 2"],
    ["refused", "constant", "OUTPUT cars[3]", "OUTPUT cars[4]"],
  ]),
  ...slipsIn(cases, [
    ["refused", "other-forms", "    2: OUTPUT", "    2 OUTPUT"],
    ["refused", "other-forms", "    OTHERWISE OUTPUT", "    ELSE OUTPUT"],
    ["refused", "other-forms", "ENDCASE\n", "END\n"],
  ]),
  ...slipsIn(called, [
    ["refused", "call-brackets", 'CALL greet("Tern")', 'CALL greet "Tern"'],
    ["refused", "name", 'CALL greet("Tern")', 'CALL greeet("Tern")'],
    ["refused", "text-or-number", 'CALL greet("Tern")', "CALL greet(Tern)"],
    ["refused", "other-forms", 'CALL greet("Tern")', 'RUN greet("Tern")'],
    ["refused", "other-forms", "PROCEDURE greet(name)", "PROCEDURE greet name"],
    ["refused", "other-forms", "ENDPROCEDURE", "ENDFUNCTION"],
    ["refused", "other-forms", "ENDPROCEDURE", "END"],
  ]),
  ...slipsIn(largest, [
    ["refused", "other-forms", "FOR EACH load IN [4, 9, 2]", "FOR load IN [4, 9, 2]"],
    ["refused", "other-forms", "FOR EACH load IN [4, 9, 2]", "FOREACH load IN [4, 9, 2]"],
    ["refused", "other-forms", "FOR EACH load IN [4, 9, 2]", "FOR EACH load OF [4, 9, 2]"],
    ["refused", "comparison", "IF load > largest THEN", "IF load < largest THEN"],
    ["refused", "swapped", "largest ← load", "load ← largest"],
    ["refused", "other-name", "OUTPUT largest", "OUTPUT load"],
    ["refused", "start-value", "largest ← 0", "largest ← 9999"],
  ]),
]);
