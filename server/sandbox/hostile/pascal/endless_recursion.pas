program Recursion;
function deeper(level: integer): integer;
var room: array[0..4095] of byte;
begin
  room[level mod 4096] := 1;
  deeper := deeper(level + 1) + room[0];
end;
begin
  writeln('begins'); flush(output);
  writeln(deeper(0));
end.
