program Deck;

procedure Work;  //> -
var
  total, car: longint;
begin
  total := 0;  //> Work.total=0
  for car := 1 to 3 do total := total + car;  //> Work.car=1 & Work.total=1 ; Work.car=2 & Work.total=3 ; Work.car=3 & Work.total=6
  while total > 4 do total := total - 1;  //> Work.total=5 ; Work.total=4
  repeat total := total + 1 until total > 6;  //> Work.total=5 ; Work.total=6 ; Work.total=7
  if total = 7 then total := 9;  //> Work.total=9
end;

begin
  Work;  //> - ; -
end.
