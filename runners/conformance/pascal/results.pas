{$mode objfpc}
program Deck;

function Load(cars: longint): longint;  //> Load.cars=4
begin
  Result := cars * 2;  //> Load.Result=8
  if cars > 3 then  //> -
    Result := Result + 1;  //> Load.Result=9
end;

function Name(number: longint): string;  //> Name.number=1
begin
  Name := 'deck';  //> Name.Name='deck'
end;

begin
  writeln(Load(4));  //> - ; out=9\n
  writeln(Name(1));  //> - ; out=deck\n
end.
