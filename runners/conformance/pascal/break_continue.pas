program Deck;

procedure Work;  //> -
var
  total, car: longint;
begin
  total := 0;  //> Work.total=0
  for car := 1 to 9 do  //> Work.car=1 ; Work.car=2 ; Work.car=3
  begin
    if car = 1 then  //> - ; - ; -
      continue;  //> -
    total := total + car;  //> Work.total=2 ; Work.total=5
    if total > 3 then  //> - ; -
      break;  //> -
  end;
end;

begin
  Work;  //> - ; -
end.
