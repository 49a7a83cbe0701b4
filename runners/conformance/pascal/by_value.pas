program Deck;
type
  TLoads = array[1..2] of longint;

function Heavier(loads: TLoads): longint;  //> Heavier.loads=[1, 2]
begin
  loads[1] := 9;  //> Heavier.loads=[9, 2]
  Heavier := loads[1] + loads[2];  //> Heavier.Heavier=11
end;

var
  carried: TLoads;
  sum: longint;
begin
  carried[1] := 1;  //> carried=[1, 0]
  carried[2] := 2;  //> carried=[1, 2]
  sum := Heavier(carried);  //> - ; sum=11
end.
