program Deck;
type
  TLoads = array[1..3] of longint;

procedure Fill(var loads: TLoads);  //> Fill.loads=[0, 0, 9]
var
  place: longint;
begin
  for place := 1 to 2 do  //> Fill.place=1 ; Fill.place=2 ; -
    loads[place] := place + 4;  //> Fill.loads=[5, 0, 9] & loads=[5, 0, 9] ; Fill.loads=[5, 6, 9] & loads=[5, 6, 9]
end;

var
  loads: TLoads;
begin
  loads[1] := 0;  //> loads=[0, 0, 0]
  loads[2] := 0;  //> -
  loads[3] := 9;  //> loads=[0, 0, 9]
  Fill(loads);  //> - ; -
  inc(loads[3]);  //> loads=[5, 6, 10]
end.
