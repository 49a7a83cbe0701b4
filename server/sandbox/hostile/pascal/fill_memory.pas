program Fill;
var p: pointer;
begin
  writeln('begins');
  while true do begin getmem(p, 1000000); fillchar(p^, 1000000, 1); end;
end.
