program Deck;

procedure Work;  //> -
var
  total, car: longint;
begin
  total := 0;  //> Work.total=0
  for car := 3 downto 2 do  //> Work.car=3 ; Work.car=2 ; -
    total := total + car;  //> Work.total=3 ; Work.total=5
  while total > 4 do  //> - ; -
    total := total - 3;  //> Work.total=2
  repeat
    total := total + 2;  //> Work.total=4 ; Work.total=6
  until total > 5;  //> - ; -
end;

begin
  Work;  //> - ; -
end.
