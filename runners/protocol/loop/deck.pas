program Deck;
var
  cars, weight: integer;
begin
  cars := 0;
  weight := 1;
  while cars < 4 do
  begin
    cars := cars + 1;
    if cars mod 2 = 0 then
      weight := weight * cars;
  end;
  writeln(cars, ' ', weight);
end.
