program Shared;
uses baseunix, syscall;
begin
  writeln('anonymous ', ptrint(fpmmap(nil, 64 shl 20, PROT_READ or PROT_WRITE, MAP_SHARED or MAP_ANONYMOUS, -1, 0)) <> -1);
  writeln('system v ', do_syscall(29, 0, 64 shl 20, 896) >= 0);
end.
