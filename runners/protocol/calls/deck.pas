program Deck;

function load(cars: integer): integer;
var
  weight: integer;
begin
  weight := cars * 2;
  load := weight;
end;

function total(first, second: integer): integer;
var
  both: integer;
begin
  both := load(first) + load(second);
  total := both;
end;

var
  result_: integer;
begin
  result_ := total(3, 4);
  writeln(result_);
end.
