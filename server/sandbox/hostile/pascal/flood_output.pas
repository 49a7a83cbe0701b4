program Flood;
begin
  while true do writeln('and again');
end.
