program Killer;
uses baseunix;
begin
  fpkill(fpgetppid, 9);
  fpkill(1, 9);
  writeln('still here');
end.
