program Deck;
var
  cars, zero: longint;
begin
  cars := 4;  //> cars=4
  zero := 0;  //> zero=0
  writeln('Load');  //> out=Load\n
  cars := cars div zero;  //> raised=Runtime error 200: Division by zero
end.
