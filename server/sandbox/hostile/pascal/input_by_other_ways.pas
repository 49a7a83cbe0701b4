program Ways;
uses baseunix;
var named: text; line: string; data: array[0..63] of char; size: integer;
begin
  readln(line);
  writeln('first ', line);
  size := fpread(fpdup(0), data, 64);
  writeln('copy ', copy(data, 1, size - 1));
  assign(named, '/dev/stdin'); reset(named);
  readln(named, line);
  writeln('name ', line);
end.
