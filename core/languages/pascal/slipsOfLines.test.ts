import { slipsIn, slipsOf } from "../../edits/slipsOf.ts";

const deck = `program Deck;
var
  loads: array[1..3] of integer;
  turns, i: integer;
  fare: real;
  boat: string;

function heaviest(count: integer): integer;
var
  most, place: integer;
begin
  most := loads[1];
  for place := 2 to count do
    if loads[place] > most then
      most := loads[place];
  heaviest := most;
end;

begin
  loads[1] := 4;
  loads[2] := 9;
  loads[3] := 2;
  boat := 'Tern';
  fare := 2.5;
  readln(turns);
  while turns > 0 do
  begin
    turns := turns - 1;
    fare := fare / 2;
  end;
  repeat
    turns := turns + 1;
  until turns = 4;
  if (boat = 'Tern') and (turns > 3) then
    writeln('Heaviest ', heaviest(3))
  else
    writeln(fare:0:1);
  for i := 1 to 3 do
  begin
    write(loads[i] mod 2, ' ');
  end;
  writeln;
end.
`;

// As beginners write them who know another language, or none yet.
slipsOf("pascal", [
  ...slipsIn(deck, [
    ["refused", "terminator", "program Deck;", "program Deck"],
    ["refused", "other-forms", "loads: array[1..3] of integer;", "loads: array[1:3] of integer;"],
    ["refused", "other-forms", "loads: array[1..3] of integer;", "loads: array(1..3) of integer;"],
    ["refused", "other-forms", "loads: array[1..3] of integer;", "loads: array[1..3] integer;"],
    ["refused", "other-forms", "loads: array[1..3] of integer;", "loads array[1..3] of integer;"],
    ["refused", "constant", "loads: array[1..3] of integer;", "loads: array[1..2] of integer;"],
    ["refused", "other-forms", "turns, i: integer;", "turns, i = integer;"],
    ["refused", "other-forms", "turns, i: integer;", "turns, i integer;"],
    ["refused", "declaration", "turns, i: integer;", "turns: integer;"],
    ["refused", "sign", "turns, i: integer;", "turns i: integer;"],
    ["refused", "word", "turns, i: integer;", "turns, i: int;"],
    ["refused", "other-forms", "turns, i: integer;", "int turns, i;"],
    ["refused", "declaration", "fare: real;", "fare: integer;"],
    ["refused", "declaration", "boat: string;", "boat: char;"],
    ["refused", "other-forms", "function heaviest(count: integer): integer;", "function heaviest(count: integer);"],
    ["refused", "other-forms", "function heaviest(count: integer): integer;", "function heaviest(count): integer;"],
    [
      "refused",
      "other-forms",
      "function heaviest(count: integer): integer;",
      "function heaviest(count integer): integer;",
    ],
    [
      "refused",
      "other-forms",
      "function heaviest(count: integer): integer;",
      "function heaviest(integer count): integer;",
    ],
    [
      "refused",
      "other-forms",
      "function heaviest(count: integer): integer;",
      "procedure heaviest(count: integer): integer;",
    ],
    [
      "refused",
      "terminator",
      "function heaviest(count: integer): integer;",
      "function heaviest(count: integer): integer",
    ],
    ["refused", "name", "function heaviest(count: integer): integer;", "function heavist(count: integer): integer;"],
    ["refused", "sign", "most := loads[1];", "most = loads[1];"],
    ["refused", "sign", "most := loads[1];", "most == loads[1];"],
    ["refused", "other-forms", "most := loads[1];", "most := loads(1);"],
    ["refused", "terminator", "most := loads[1];", "most := loads[1]"],
    ["refused", "other-forms", "most := loads[1];", "most : = loads[1];"],
    ["refused", "swapped", "most := loads[1];", "loads[1] := most;"],
    ["refused", "sign", "for place := 2 to count do", "for place = 2 to count do"],
    ["refused", "word", "for place := 2 to count do", "for place := 2 to count"],
    ["refused", "other-forms", "for place := 2 to count do", "for place := 2, count do"],
    ["refused", "direction", "for place := 2 to count do", "for place := 2 downto count do"],
    ["refused", "terminator", "for place := 2 to count do", "for place := 2 to count do;"],
    ["refused", "other-forms", "for place := 2 to count do", "for place in 2 to count do"],
    ["refused", "word", "if loads[place] > most then", "if loads[place] > most"],
    ["refused", "word", "if loads[place] > most then", "if loads[place] > most do"],
    ["refused", "comparison", "if loads[place] > most then", "if loads[place] < most then"],
    ["refused", "terminator", "if loads[place] > most then", "if loads[place] > most then;"],
    ["refused", "sign", "heaviest := most;", "heaviest = most;"],
    ["refused", "swapped", "heaviest := most;", "most := heaviest;"],
    ["refused", "terminator", "heaviest := most;\nend;", "heaviest := most;\nend"],
    ["refused", "quote", "boat := 'Tern';", 'boat := "Tern";'],
    ["refused", "quote", "boat := 'Tern';", "boat := 'Tern;"],
    ["refused", "text-or-number", "boat := 'Tern';", "boat := Tern;"],
    ["refused", "sign", "boat := 'Tern';", "boat = 'Tern';"],
    ["refused", "other-forms", "readln(turns);", "readln turns;"],
    ["refused", "name", "readln(turns);", "readline(turns);"],
    ["refused", "other-forms", "readln(turns);", "turns := readln;"],
    ["refused", "other-forms", "readln(turns);", "input(turns);"],
    ["refused", "word", "while turns > 0 do", "while turns > 0"],
    ["refused", "word", "while turns > 0 do", "while turns > 0 then"],
    ["refused", "comparison", "while turns > 0 do", "while turns < 0 do"],
    ["refused", "sign", "turns := turns - 1;", "turns--;"],
    ["refused", "arithmetic", "turns := turns - 1;", "turns := turns + 1;"],
    ["refused", "sign", "turns := turns - 1;", "turns - 1;"],
    ["refused", "name", "turns := turns - 1;", "turns := turn - 1;"],
    ["refused", "arithmetic", "fare := fare / 2;", "fare := fare div 2;"],
    ["refused", "other-forms", "fare := fare / 2;", "fare /= 2;"],
    ["refused", "sign", "until turns = 4;", "until turns := 4;"],
    ["refused", "sign", "until turns = 4;", "until turns == 4;"],
    ["refused", "comparison", "until turns = 4;", "until turns < 4;"],
    ["refused", "formula-brackets", "if (boat = 'Tern') and (turns > 3) then", "if boat = 'Tern' and turns > 3 then"],
    ["refused", "sign", "if (boat = 'Tern') and (turns > 3) then", "if (boat == 'Tern') and (turns > 3) then"],
    ["refused", "sign", "if (boat = 'Tern') and (turns > 3) then", "if (boat := 'Tern') and (turns > 3) then"],
    ["refused", "other-forms", "if (boat = 'Tern') and (turns > 3) then", "if (boat = 'Tern') && (turns > 3) then"],
    ["refused", "logic-word", "if (boat = 'Tern') and (turns > 3) then", "if (boat = 'Tern') or (turns > 3) then"],
    ["refused", "sign", "if (boat = 'Tern') and (turns > 3) then", "if (boat = 'Tern') and (turns => 3) then"],
    ["refused", "terminator", "writeln('Heaviest ', heaviest(3))", "writeln('Heaviest ', heaviest(3));"],
    ["refused", "sign", "writeln('Heaviest ', heaviest(3))", "writeln('Heaviest ' heaviest(3))"],
    ["refused", "other-forms", "writeln('Heaviest ', heaviest(3))", "writeln('Heaviest ' + heaviest(3))"],
    ["refused", "call-brackets", "writeln('Heaviest ', heaviest(3))", "writeln('Heaviest ', heaviest 3)"],
    ["refused", "other-forms", "writeln('Heaviest ', heaviest(3))", "print('Heaviest ', heaviest(3))"],
    ["refused", "name", "writeln('Heaviest ', heaviest(3))", "writeline('Heaviest ', heaviest(3))"],
    ["refused", "other-forms", "writeln('Heaviest ', heaviest(3))", "writeln('Heaviest ', heaviest[3])"],
    ["refused", "sign", "loads[i] mod 2", "loads[i] % 2"],
    ["refused", "block-end", "end.\n", "end\n"],
    ["refused", "block-end", "end.\n", "end;\n"],
  ]),
]);
