program Deck;

procedure Work;  //> -
var
  low, high, held: longint;
begin
  low := 1; high := 2;  //> Work.low=1 & Work.high=2
  held := low; low := high; high := held;  //> Work.held=1 & Work.low=2 & Work.high=1
end;

begin
  Work;  //> - ; -
end.
