program Deck;

function share(weight, boats: integer): integer;
var
  part: integer;
begin
  part := weight div boats;
  share := part;
end;

var
  first, second: integer;
begin
  first := share(8, 2);
  writeln(first);
  second := share(8, 0);
  writeln(second);
end.
