program Ferry;

procedure Swap(var loads: array of longint);  //> Swap.loads=[9, 2]
var
  held: longint;
begin
  held := loads[0];  //> Swap.held=9
  loads[0] := loads[1];  //> Swap.loads=[2, 2]
  loads[high(loads)] := held;  //> Swap.loads=[2, 9]
end;

procedure Work;  //> -
var
  sizes: array[1..2] of longint;
begin
  sizes[1] := 9;  //> Work.sizes=[9, ?]
  sizes[2] := 2;  //> Work.sizes=[9, 2]
  Swap(sizes);  //> - ; Work.sizes=[2, 9]
end;

begin
  Work;  //> - ; -
end.
