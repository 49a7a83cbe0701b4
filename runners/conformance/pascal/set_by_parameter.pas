program Deck;

procedure Zero(var load: longint);  //> Zero.load=0
begin
  load := 0;  //> first=0
end;

var
  first: longint;
begin
  Zero(first);  //> - ; -
  first := first + 1;  //> first=1
end.
