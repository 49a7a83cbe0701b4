import type { RightProgram } from "./program.ts";

/** Right programs in Pascal. */
export const pascalPrograms: readonly RightProgram[] = [
  {
    name: "fares",
    language: "pascal",
    text: `program Fares;
var
  people, age, i, total: integer;

function Fare(age: integer): integer;
begin
  if age < 6 then
    Fare := 0
  else if age < 16 then
    Fare := 3
  else
    Fare := 7;
end;

begin
  readln(people);
  total := 0;
  for i := 1 to people do
  begin
    readln(age);
    total := total + Fare(age);
  end;
  writeln('Total ', total);
  if (total > 20) and (people > 2) then
    writeln('Group')
  else
    writeln('Single');
end.
`,
    inputs: ["2\n30\n12\n", "3\n5\n6\n16\n", "4\n20\n30\n15\n60\n", "2\n60\n70\n"],
  },
  {
    name: "tides",
    language: "pascal",
    text: `program TideTable;
var
  tides: array[1..20] of integer;
  n, i, high, sum, rising: integer;
begin
  readln(n);
  for i := 1 to n do
    readln(tides[i]);
  high := tides[1];
  sum := 0;
  rising := 0;
  for i := 1 to n do
  begin
    sum := sum + tides[i];
    if tides[i] > high then
      high := tides[i];
  end;
  for i := 2 to n do
    if tides[i] > tides[i - 1] then
      rising := rising + 1;
  writeln('High ', high);
  writeln('Mean ', sum / n:0:2);
  writeln('Rising ', rising);
end.
`,
    inputs: ["3\n2\n5\n4\n", "4\n-3\n-1\n-2\n-9\n", "1\n7\n"],
  },
  {
    name: "minutes",
    language: "pascal",
    text: `program Minutes;
var
  start, last, every, count, now: integer;
begin
  readln(start);
  readln(last);
  readln(every);
  count := 0;
  now := start;
  while now <= last do
  begin
    writeln(now div 60, ':', now mod 60);
    now := now + every;
    count := count + 1;
  end;
  writeln(count, ' crossings');
  repeat
    count := count - 2;
  until count <= 0;
  if count = 0 then
    writeln('even')
  else
    writeln('odd');
end.
`,
    inputs: ["480\n600\n45\n", "480\n500\n10\n", "61\n61\n5\n"],
  },
];
