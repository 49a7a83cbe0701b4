import type { DemoCase } from "../cases.ts";

const semicolon = `program Boarding;
var
  places, booked: integer;
begin
  places := 6;
  booked := 4

  writeln('Places left: ', places - booked);
end.
`;

const share = `program Share;
var
  load, decks: integer;

function Each(load, decks: integer): integer;
begin
  Each := load div decks;
end;

begin
  load := 24;
  write('Decks? ');
  readln(decks);
  writeln('On each deck: ', Each(load, decks - 2));
end.
`;

const total = `program DeckLoad;
var
  loads: array[1..4] of integer;
  i, total: integer;
begin
  loads[1] := 4;
  loads[2] := 12;
  loads[3] := 7;
  loads[4] := 2;
  total := 0;
  for i := 1 to 3 do
    total := total + loads[i];
  writeln('Deck load: ', total);
end.
`;

const layers = `program Crossing;
var
  stops, minutes: integer;
begin
  stops = 3;
  minutes := 35;
  while stops > 0 do
  begin
    minutes := minutes + 5;
    stops := stops - 1;
  end;
  writeln('Minutes: ', minuts);
end.
`;
const layersSecond = layers.replace("stops = 3", "stops := 3");

/**
 * Object Pascal: a semicolon missing above the reported line, a zero divisor, a loop too short, and two faults one
 * behind the other.
 */
export const pascalCases: readonly DemoCase[] = [
  {
    language: "pascal",
    name: "boarding.pas",
    title: "Boarding list in Pascal",
    intent: "Print how many places are left on the Kittiwake.",
    student: "T-03",
    program: semicolon,
    input: "",
    expected: "Places left: 2\n",
    mended: [],
  },
  {
    language: "pascal",
    name: "share.pas",
    title: "Load shared between decks in Pascal",
    intent: "Share 24 tonnes evenly between the decks that are typed in.",
    student: "T-04",
    program: share,
    input: "2\n",
    expected: "Decks? On each deck: 12\n",
    mended: [],
  },
  {
    language: "pascal",
    name: "total.pas",
    title: "Deck load in Pascal",
    intent: "Add up the loads of all four places.",
    student: "T-05",
    program: total,
    input: "",
    expected: "Deck load: 25\n",
    mended: [total.replace("1 to 3", "1 to 4")],
  },
  {
    language: "pascal",
    name: "crossing.pas",
    title: "Crossing time in Pascal",
    intent: "A crossing takes 35 minutes and 5 more for each of three stops.",
    student: "T-06",
    program: layers,
    input: "",
    expected: "Minutes: 50\n",
    mended: [layersSecond, layersSecond.replace("minuts", "minutes")],
  },
];
