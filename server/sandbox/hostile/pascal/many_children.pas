program Children;
uses baseunix;
var count: integer; taken: ^byte;
begin
  writeln('begins'); flush(output);
  for count := 1 to 40 do
    if fpfork = 0 then begin
      getmem(taken, 40 shl 20); fillchar(taken^, 40 shl 20, 1);
      while true do fppause;
    end;
  while true do fppause;
end.
