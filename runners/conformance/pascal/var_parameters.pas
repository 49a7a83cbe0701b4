program Deck;

procedure Fill(var load: longint; by: longint);  //> Fill.load=5 & Fill.by=0
begin
  load := by;  //> Fill.load=0 & first=0
end;

procedure Both(var one, other: longint);  //> Both.one=0 & Both.other=2
var
  held: longint;
begin
  held := one;  //> Both.held=0
  one := other;  //> Both.one=2 & first=2
  other := held;  //> Both.other=0 & second=0
end;

var
  first, second: longint;
begin
  first := 5;  //> first=5
  Fill(first, 0);  //> - ; -
  second := 2;  //> second=2
  Both(first, second);  //> - ; -
end.
