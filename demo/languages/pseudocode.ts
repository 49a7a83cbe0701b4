import type { DemoCase } from "../cases.ts";

const unclosed = `boarded ← 0
FOR group ← 1 TO 3
    INPUT "People? ", people
    IF people > 0 THEN
        boarded ← boarded + people
    NEXT group
OUTPUT "On board: ", boarded
`;

const past = `DECLARE names : ARRAY[1:3] OF STRING
names[1] ← "Gannet"
names[2] ← "Tern"
names[3] ← "Fulmar"
FOR place ← 0 TO 2
    OUTPUT names[place]
NEXT place
`;

const limit = `SET fare TO 12
INPUT "Age? ", age
IF age < 15 THEN
    SET fare TO fare DIV 2
END IF
DISPLAY "Fare: ", fare
`;

const share = `FUNCTION each_deck(cars, decks)
    RETURN cars DIV decks
ENDFUNCTION

INPUT "Cars? ", cars
INPUT "Decks? ", decks
OUTPUT "On each deck: ", each_deck(cars, decks)
`;

const byValue = `PROCEDURE take_on(load, more)
    load ← load + more
ENDPROCEDURE

aboard ← 0
FOR EACH lorry IN [12, 7, 9]
    CALL take_on(aboard, lorry)
NEXT
OUTPUT "Aboard: ", aboard
`;

const layers = `FOR hour <- 1 TO 3
    INPUT "Height? ", height
    IF height > 2
        high <- high + 1
    ENDIF
NEXT hour
OUTPUT "High tides: ", high
`;
const layersSecond = layers.replace("height > 2\n", "height > 2 THEN\n");

/**
 * Pseudocode: a block that is never closed, a position before the first, a boundary, a division by what was typed in, a value
 * that is given on where the place is meant, and two faults one behind the other.
 */
export const pseudocodeCases: readonly DemoCase[] = [
  {
    language: "pseudocode",
    name: "boarding.pseudo",
    title: "Boarding in pseudocode",
    intent: "Add up the people of three groups.",
    student: "T-11",
    program: unclosed,
    input: "4\n0\n2\n",
    expected: "People? People? People? On board: 6\n",
    mended: [unclosed.replace("    NEXT group", "    ENDIF\nNEXT group")],
  },
  {
    language: "pseudocode",
    name: "boats.pseudo",
    title: "Names of the boats in pseudocode",
    intent: "Print the names of the boats.",
    student: "T-12",
    program: past,
    input: "",
    expected: "Gannet\nTern\nFulmar\n",
    mended: [past.replace("0 TO 2", "1 TO 3")],
  },
  {
    language: "pseudocode",
    name: "young_fare.pseudo",
    title: "Fares for the young in pseudocode",
    intent: "Up to and including 15 years half price.",
    student: "T-07",
    program: limit,
    input: "15\n",
    expected: "Age? Fare: 6\n",
    checks: [{ input: "16\n", expected: "Age? Fare: 12\n", kind: "boundary" }],
    mended: [limit.replace("age < 15", "age <= 15")],
  },
  {
    language: "pseudocode",
    name: "share.pseudo",
    title: "Cars on each deck in pseudocode",
    intent: "Share the cars among the decks; without decks there is nothing to share.",
    student: "T-08",
    program: share,
    input: "40\n0\n",
    expected: "Cars? Decks? On each deck: 0\n",
    mended: [share.replace("    RETURN", "    IF decks = 0 THEN RETURN 0\n    RETURN")],
  },
  {
    language: "pseudocode",
    name: "take_on.pseudo",
    title: "Lorries taken on in pseudocode",
    intent: "Add up the loads of the lorries that are taken on.",
    student: "T-09",
    program: byValue,
    input: "",
    expected: "Aboard: 28\n",
    mended: [byValue.replace("take_on(load", "take_on(BYREF load")],
  },
  {
    language: "pseudocode",
    name: "high_tides.pseudo",
    title: "High tides in pseudocode",
    intent: "Count the tides above two metres.",
    student: "T-10",
    program: layers,
    input: "3\n1\n4\n",
    expected: "Height? Height? Height? High tides: 2\n",
    mended: [layersSecond, `high <- 0\n${layersSecond}`],
  },
];
