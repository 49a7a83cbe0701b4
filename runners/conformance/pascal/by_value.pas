program Deck;
type
  TLoads = array[1..2] of longint;

function Heavier(loads: TLoads): longint;  //> Heavier.loads=[1, 2]
begin
  loads[1] := 9;  //> Heavier.loads=[9, 2]
  Heavier := loads[1] + loads[2];  //> Heavier.Heavier=11
end;

var
  deck: TLoads;
  sum: longint;
begin
  deck[1] := 1;  //> deck=[1, ?]
  deck[2] := 2;  //> deck=[1, 2]
  sum := Heavier(deck);  //> - ; sum=11
end.
