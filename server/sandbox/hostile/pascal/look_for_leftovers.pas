program Look;
uses sysutils;
var found: integer;
begin
  found := 0;
  if fileexists('/tmp/left_behind') then found := found + 1;
  if fileexists('/dev/shm/left_behind') then found := found + 1;
  writeln('found ', found);
end.
