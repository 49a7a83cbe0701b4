program Signals;
uses baseunix, sysutils;
var number: integer;
begin
  for number := 1 to 64 do fpkill(1, number);
  sleep(100);
  writeln('still here ', fpgetppid);
end.
