import { type Neutral, neutral } from "./neutral.ts";

export const pseudocodeNeutral: readonly Neutral[] = [
  neutral(
    1,
    "Bill of a crossing",
    `
    INPUT "Fare of a car? ", fare
    INPUT "Cars? ", cars
    bill <- fare * cars
    OUTPUT "Bill: ", bill
  `,
  ),
  neutral(
    1,
    "Crossing time",
    `
    INPUT "Minutes? ", minutes
    hours <- minutes DIV 60
    rest <- minutes MOD 60
    OUTPUT hours, " hours and ", rest, " minutes"
  `,
  ),
  neutral(
    2,
    "Room on the deck",
    `
    places <- 40
    INPUT "Booked cars? ", booked
    free <- places - booked
    IF free > 0 THEN
        OUTPUT "Free places: ", free
    ELSE
        OUTPUT "The deck is full"
    ENDIF
  `,
  ),
  neutral(
    2,
    "Fare by age",
    `
    INPUT "Age? ", age
    IF age < 4 THEN
        fare <- 0
    ELSE IF age < 15 THEN
        fare <- 3
    ELSE IF age >= 65 THEN
        fare <- 5
    ELSE
        fare <- 8
    ENDIF
    OUTPUT "Fare: ", fare
  `,
  ),
  neutral(
    2,
    "Before the ramp closes",
    `
    INPUT "Minutes until departure? ", minutes
    WHILE minutes > 0 DO
        OUTPUT "Closes in ", minutes
        minutes <- minutes - 5
    ENDWHILE
    OUTPUT "The ramp is closed"
  `,
  ),
  neutral(
    3,
    "Loads of a day",
    `
    loads <- [12, 30, 7, 25]
    total <- 0
    largest <- loads[1]
    FOR place <- 1 TO LENGTH(loads)
        total <- total + loads[place]
        IF loads[place] > largest THEN
            largest <- loads[place]
        ENDIF
    NEXT place
    OUTPUT "Total ", total
    OUTPUT "Largest ", largest
  `,
  ),
  neutral(
    3,
    "Crossings that were full",
    `
    INPUT "Limit? ", limit
    booked <- [38, 40, 22, 41, 40]
    full <- 0
    FOR EACH number IN booked
        IF number >= limit THEN
            full <- full + 1
        ENDIF
    NEXT
    OUTPUT full, " of ", LENGTH(booked), " were full"
  `,
  ),
  neutral(
    3,
    "Tide by the hour",
    `
    INPUT "Height at noon? ", height
    FOR hour <- 1 TO 6
        IF hour <= 3 THEN
            height <- height + 2
        ELSE
            height <- height - 1
        ENDIF
        OUTPUT "Hour ", hour, " height ", height
    NEXT hour
  `,
  ),
  neutral(
    4,
    "Bills of a family",
    `
    FUNCTION fare_for(age, has_card)
        fare <- 8
        IF age < 15 THEN
            fare <- 3
        ENDIF
        IF has_card = "yes" THEN
            fare <- fare - 1
        ENDIF
        RETURN fare
    ENDFUNCTION

    INPUT "People? ", people
    total <- 0
    FOR person <- 1 TO people
        INPUT "Age? ", age
        INPUT "Card? ", card
        total <- total + fare_for(age, card)
    NEXT person
    OUTPUT "Total: ", total
  `,
    ["3 14 yes 15 no 40 yes", "0", "1 15 yes", "2 14 no 3 yes"],
  ),
  neutral(
    4,
    "On the passenger list",
    `
    names <- ["Tern", "Skua", "Gull", "Auk"]
    INPUT "Boat? ", wanted
    place <- 1
    found <- FALSE
    WHILE place <= LENGTH(names) AND NOT found DO
        IF names[place] = wanted THEN
            found <- TRUE
        ELSE
            place <- place + 1
        ENDIF
    ENDWHILE
    IF found THEN
        OUTPUT wanted, " is number ", place
    ELSE
        OUTPUT wanted, " is not on the list"
    ENDIF
  `,
    ["Gull", "Tern", "Auk", "Puffin"],
  ),
  neutral(
    5,
    "Lanes of the deck",
    `
    INPUT "Lanes? ", lanes
    INPUT "Rows? ", rows
    free <- 0
    FOR lane <- 0 TO lanes - 1
        FOR row <- 0 TO rows - 1
            taken <- (lane + row) MOD 3 = 0 OR row > lane
            IF NOT taken THEN
                free <- free + 1
                OUTPUT "Lane ", lane, " row ", row, " is free"
            ENDIF
        NEXT row
    NEXT lane
    OUTPUT "Free: ", free
  `,
  ),
  neutral(
    5,
    "Waiting times in order",
    `
    waits <- [14, 3, 27, 9]
    INPUT "Late from? ", late
    FOR last <- LENGTH(waits) TO 2 STEP -1
        FOR place <- 1 TO last - 1
            IF waits[place] > waits[place + 1] THEN
                kept <- waits[place]
                waits[place] <- waits[place + 1]
                waits[place + 1] <- kept
            ENDIF
        NEXT place
    NEXT last
    count <- 0
    FOR EACH wait IN waits
        OUTPUT wait
        IF wait >= late THEN
            count <- count + 1
        ENDIF
    NEXT
    OUTPUT "Late: ", count
  `,
  ),
];
