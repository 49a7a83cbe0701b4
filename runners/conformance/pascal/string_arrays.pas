program Deck;

procedure Work;  //> -
var
  ships: array[1..2] of string[6];
  grid: array[0..1] of array[0..1] of char;
begin
  ships[1] := 'Tern';  //> Work.ships=['Tern', ?]
  ships[2] := 'Gull';  //> Work.ships=['Tern', 'Gull']
  grid[0][1] := 'a';  //> Work.grid=['?a', ?]
end;

begin
  Work;  //> - ; -
end.
