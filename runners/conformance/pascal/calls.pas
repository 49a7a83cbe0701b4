program Deck;

function Load(cars: longint): longint;  //> Load.cars=3 ; Load.cars=4
var
  weight: longint;
begin
  weight := cars * 2;  //> Load.weight=6 ; Load.weight=8
  Load := weight;  //> Load.Load=6 ; Load.Load=8
end;

var
  both: longint;
begin
  both := Load(3) + Load(4);  //> - ; - ; both=14
  writeln(both);  //> out=14\n
end.
