program Terminals;
uses baseunix, sysutils;
var taken: integer;
begin
  taken := 0;
  while (taken < 5000) and (fpopen('/dev/ptmx', O_RDWR) >= 0) do inc(taken);
  sleep(300);
  writeln('few ', taken <= 8);
end.
