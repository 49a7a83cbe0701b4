import { type Neutral, neutral } from "./neutral.ts";

export const octaveNeutral: readonly Neutral[] = [
  neutral(
    1,
    "Bill of a crossing",
    `
    fare = input("Fare of a car? ");
    cars = input("Cars? ");
    bill = fare * cars;
    printf("Bill: %d\\n", bill);
  `,
  ),
  neutral(
    1,
    "Crossing time",
    `
    minutes = input("Minutes? ");
    hours = floor(minutes / 60);
    rest = mod(minutes, 60);
    printf("%d hours and %d minutes\\n", hours, rest);
  `,
  ),
  neutral(
    2,
    "Room on the deck",
    `
    places = 40;
    booked = input("Booked cars? ");
    free = places - booked;
    if free > 0
      printf("Free places: %d\\n", free);
    else
      printf("The deck is full\\n");
    end
  `,
  ),
  neutral(
    2,
    "Fare by age",
    `
    age = input("Age? ");
    if age < 4
      fare = 0;
    elseif age < 15
      fare = 3;
    elseif age >= 65
      fare = 5;
    else
      fare = 8;
    end
    printf("Fare: %d\\n", fare);
  `,
  ),
  neutral(
    2,
    "Before the ramp closes",
    `
    left = input("Minutes until departure? ");
    while left > 0
      printf("Closes in %d\\n", left);
      left = left - 5;
    end
    printf("The ramp is closed\\n");
  `,
  ),
  neutral(
    3,
    "Loads of a day",
    `
    loads = [12, 30, 7, 25];
    total = 0;
    largest = loads(1);
    for i = 1:length(loads)
      total = total + loads(i);
      if loads(i) > largest
        largest = loads(i);
      end
    end
    printf("Total %d\\n", total);
    printf("Largest %d\\n", largest);
  `,
  ),
  neutral(
    3,
    "Crossings that were full",
    `
    limit = input("Limit? ");
    booked = [38, 40, 22, 41, 40];
    full_ones = 0;
    for i = 1:length(booked)
      if booked(i) >= limit
        full_ones = full_ones + 1;
      end
    end
    printf("%d of %d were full\\n", full_ones, length(booked));
  `,
  ),
  neutral(
    3,
    "Tide by the hour",
    `
    height = input("Height at noon? ");
    for hour = 1:6
      if hour <= 3
        height = height + 2;
      else
        height = height - 1;
      end
      printf("Hour %d height %d\\n", hour, height);
    end
  `,
  ),
  neutral(
    4,
    "Bills of a family",
    `
    1;
    function fare = fare_for(age, has_card)
      fare = 8;
      if age < 15
        fare = 3;
      end
      if has_card == 1
        fare = fare - 1;
      end
    end

    people = input("People? ");
    total = 0;
    for person = 1:people
      age = input("Age? ");
      card = input("Card? ");
      total = total + fare_for(age, card);
    end
    printf("Total: %d\\n", total);
  `,
  ),
  neutral(
    4,
    "On the list of boats",
    `
    numbers = [17, 4, 23, 11];
    wanted = input("Boat? ");
    place = 1;
    found = false;
    while place <= length(numbers) && !found
      if numbers(place) == wanted
        found = true;
      else
        place = place + 1;
      end
    end
    if found
      printf("Boat %d is at place %d\\n", wanted, place);
    else
      printf("Boat %d is not there\\n", wanted);
    end
  `,
  ),
  neutral(
    5,
    "Lanes of the deck",
    `
    lanes = input("Lanes? ");
    rows_of = input("Rows? ");
    free = 0;
    for lane = 0:lanes - 1
      for row = 0:rows_of - 1
        taken = mod(lane + row, 3) == 0 || row > lane;
        if !taken
          free = free + 1;
          printf("Lane %d row %d is free\\n", lane, row);
        end
      end
    end
    printf("Free: %d\\n", free);
  `,
  ),
  neutral(
    5,
    "Waiting times in order",
    `
    waits = [14, 3, 27, 9];
    late = input("Late from? ");
    for last = length(waits):-1:2
      for place = 1:last - 1
        if waits(place) > waits(place + 1)
          other = waits(place);
          waits(place) = waits(place + 1);
          waits(place + 1) = other;
        end
      end
    end
    count = 0;
    for place = 1:length(waits)
      printf("%d\\n", waits(place));
      if waits(place) >= late
        count = count + 1;
      end
    end
    printf("Late: %d\\n", count);
  `,
  ),
];
