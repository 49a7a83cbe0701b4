program Deck;

procedure Zero(var load: longint);  //> -
begin
  load := 0;  //> Zero.load=0
end;

var
  first: longint;
begin
  Zero(first);  //> - ; first=0
  first := first + 1;  //> first=1
end.
