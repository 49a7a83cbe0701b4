program Deck;
{$mode objfpc}

procedure Work;  //> -
var
  loads: array of longint;
begin
  setlength(loads, 2);  //> Work.loads=[0, 0]
  loads[1] := 7;  //> Work.loads=[0, 7]
  setlength(loads, 3);  //> Work.loads=[0, 7, 0]
end;

begin
  Work;  //> - ; -
end.
