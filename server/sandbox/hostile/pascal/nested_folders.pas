program Nested;
uses baseunix;
var count: integer;
begin
  for count := 1 to 3000 do
    if (fpmkdir('d', &700) <> 0) or (fpchdir('d') <> 0) then break;
  writeln('left');
end.
