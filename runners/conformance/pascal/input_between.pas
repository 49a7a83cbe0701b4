program Deck;
var
  cars: longint;
begin
  write('Cars? ');  //> out=Cars?\s
  readln(cars);  //> cars=4 & in=4
  while cars > 3 do  //> - ; -
  begin
    write('Less: ');  //> out=Less:\s
    readln(cars);  //> cars=1 & in=1
  end;
  writeln(cars);  //> out=1\n
end.
