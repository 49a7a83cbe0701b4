program Files;
{$I-}
var f: file; n: integer; data: array[0..99999] of byte; name: string;
begin
  n := 0;
  while n < 10000 do begin
    str(n, name); assign(f, 'file' + name); rewrite(f, 1); blockwrite(f, data, sizeof(data));
    if ioresult <> 0 then break;
    close(f); n := n + 1;
  end;
  writeln('stopped in bounds: ', n <= 167);
  assign(f, '/usr/x'); rewrite(f, 1);
  if ioresult = 0 then writeln('wrote');
end.
