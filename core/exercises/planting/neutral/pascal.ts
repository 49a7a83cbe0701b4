import { type Neutral, neutral } from "./neutral.ts";

export const pascalNeutral: readonly Neutral[] = [
  neutral(
    1,
    "Bill of a crossing",
    `
    program Crossing;
    var fare, cars, bill: integer;
    begin
      readln(fare);
      readln(cars);
      bill := fare * cars;
      writeln('Bill: ', bill);
    end.
  `,
  ),
  neutral(
    1,
    "Crossing time",
    `
    program CrossingTime;
    var minutes, hours, rest: integer;
    begin
      readln(minutes);
      hours := minutes div 60;
      rest := minutes mod 60;
      writeln(hours, ' hours and ', rest, ' minutes');
    end.
  `,
  ),
  neutral(
    2,
    "Room on the deck",
    `
    program Room;
    var places, booked, free: integer;
    begin
      places := 40;
      readln(booked);
      free := places - booked;
      if free > 0 then
        writeln('Free places: ', free)
      else
        writeln('The deck is full');
    end.
  `,
  ),
  neutral(
    2,
    "Fare by age",
    `
    program Ages;
    var age, fare: integer;
    begin
      readln(age);
      if age < 4 then
        fare := 0
      else if age < 15 then
        fare := 3
      else if age >= 65 then
        fare := 5
      else
        fare := 8;
      writeln('Fare: ', fare);
    end.
  `,
  ),
  neutral(
    2,
    "Before the ramp closes",
    `
    program Ramp;
    var left: integer;
    begin
      readln(left);
      while left > 0 do
      begin
        writeln('Closes in ', left);
        left := left - 5;
      end;
      writeln('The ramp is closed');
    end.
  `,
  ),
  neutral(
    3,
    "Loads of a day",
    `
    program DayLoads;
    const loads: array[1..4] of integer = (12, 30, 7, 25);
    var total, largest, i: integer;
    begin
      total := 0;
      largest := loads[1];
      for i := 1 to 4 do
      begin
        total := total + loads[i];
        if loads[i] > largest then
          largest := loads[i];
      end;
      writeln('Total ', total);
      writeln('Largest ', largest);
    end.
  `,
  ),
  neutral(
    3,
    "Crossings that were full",
    `
    program FullOnes;
    const booked: array[1..5] of integer = (38, 40, 22, 41, 40);
    var limit, full, i: integer;
    begin
      readln(limit);
      full := 0;
      for i := 1 to 5 do
        if booked[i] >= limit then
          full := full + 1;
      writeln(full, ' of 5 were full');
    end.
  `,
  ),
  neutral(
    3,
    "Tide by the hour",
    `
    program Tide;
    var height, hour: integer;
    begin
      readln(height);
      for hour := 1 to 6 do
      begin
        if hour <= 3 then
          height := height + 2
        else
          height := height - 1;
        writeln('Hour ', hour, ' height ', height);
      end;
    end.
  `,
  ),
  neutral(
    4,
    "Bills of a family",
    `
    program Family;
    var people, person, age, card, total: integer;

    function FareFor(age, hasCard: integer): integer;
    var fare: integer;
    begin
      fare := 8;
      if age < 15 then
        fare := 3;
      if hasCard = 1 then
        fare := fare - 1;
      FareFor := fare;
    end;

    begin
      readln(people);
      total := 0;
      for person := 1 to people do
      begin
        readln(age);
        readln(card);
        total := total + FareFor(age, card);
      end;
      writeln('Total: ', total);
    end.
  `,
  ),
  neutral(
    4,
    "On the list of boats",
    `
    program Boats;
    const numbers: array[1..4] of integer = (17, 4, 23, 11);
    var wanted, place: integer;
        found: boolean;
    begin
      readln(wanted);
      place := 1;
      found := false;
      while (place <= 4) and not found do
        if numbers[place] = wanted then
          found := true
        else
          place := place + 1;
      if found then
        writeln('Boat ', wanted, ' is at place ', place)
      else
        writeln('Boat ', wanted, ' is not there');
    end.
  `,
  ),
  neutral(
    5,
    "Lanes of the deck",
    `
    program DeckLanes;
    var lanes, rows, lane, row, free: integer;
        taken: boolean;
    begin
      readln(lanes);
      readln(rows);
      free := 0;
      for lane := 0 to lanes - 1 do
        for row := 0 to rows - 1 do
        begin
          taken := ((lane + row) mod 3 = 0) or (row > lane);
          if not taken then
          begin
            free := free + 1;
            writeln('Lane ', lane, ' row ', row, ' is free');
          end;
        end;
      writeln('Free: ', free);
    end.
  `,
  ),
  neutral(
    5,
    "Waiting times in order",
    `
    program InOrder;
    var waits: array[1..4] of integer = (14, 3, 27, 9);
        late, count, last, place, other: integer;
    begin
      readln(late);
      for last := 4 downto 2 do
        for place := 1 to last - 1 do
          if waits[place] > waits[place + 1] then
          begin
            other := waits[place];
            waits[place] := waits[place + 1];
            waits[place + 1] := other;
          end;
      count := 0;
      for place := 1 to 4 do
      begin
        writeln(waits[place]);
        if waits[place] >= late then
          count := count + 1;
      end;
      writeln('Late: ', count);
    end.
  `,
  ),
];
