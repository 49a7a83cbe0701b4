program Deck;
var
  cars, weight: integer;
begin
  write('Cars? ');
  readln(cars);
  weight := cars * 2;
  writeln('Load ', weight);
end.
