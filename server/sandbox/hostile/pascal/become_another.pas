program Another;
uses baseunix, unix;
begin
  if fpfork = 0 then begin fpsetsid; fpexecl('/bin/sh', ['-c', 'sleep 1; while true; do :; done']); end;
  writeln('first'); flush(output);
  fpexecl('/bin/sh', ['-c', 'echo second; exit 3']);
end.
