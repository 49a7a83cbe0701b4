import type { RightProgram } from "./program.ts";

/** Right programs in pseudocode. */
export const pseudocodePrograms: readonly RightProgram[] = [
  {
    name: "fares",
    language: "pseudocode",
    text: `INPUT people
total <- 0
FOR person <- 1 TO people
    INPUT age
    IF age < 6 THEN
        fare <- 0
    ELSE IF age < 16 THEN
        fare <- 3
    ELSE
        fare <- 7
    ENDIF
    total <- total + fare
NEXT person
OUTPUT "Total ", total
IF total > 20 AND people > 2 THEN
    OUTPUT "Group"
ELSE
    OUTPUT "Single"
ENDIF
`,
    inputs: ["2\n30\n12\n", "3\n5\n6\n16\n", "4\n20\n30\n15\n60\n", "2\n60\n70\n"],
  },
  {
    name: "tides",
    language: "pseudocode",
    text: `DECLARE tides : ARRAY[1:9] OF INTEGER
SET count TO 0
REPEAT
    INPUT height
    IF height > 0 THEN
        SET count TO count + 1
        SET tides[count] TO height
    END IF
UNTIL height <= 0 OR count = 9
SET rising TO 0
FOR place <- 2 TO count
    IF tides[place] > tides[place - 1] THEN
        SET rising TO rising + 1
    END IF
END FOR
DISPLAY "Rising ", rising, " of ", count
`,
    inputs: ["2\n5\n4\n0\n", "1\n2\n3\n-1\n", "7\n0\n"],
  },
];
