program Deck;
var
  count: longint;
  names: array[0..1] of longint;

procedure Board(name: longint);  //> Board.name=7 ; Board.name=8
begin
  names[count] := name;  //> names=[7, 0] ; names=[7, 8]
  count := count + 1;  //> count=1 ; count=2
end;

begin
  count := 0;  //> count=0
  Board(7);  //> - ; -
  Board(8);  //> - ; -
end.
