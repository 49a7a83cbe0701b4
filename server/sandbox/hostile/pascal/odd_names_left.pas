program Odd;
uses baseunix;
begin
  fpsymlink('loop', 'loop');
  fpsymlink('/proc/1/mem', 'link');
  fpmkfifo('pipe', &600);
  fpclose(fpopen('two'#10'lines', O_CREAT or O_WRONLY, 0));
  fpclose(fpopen(#255#254, O_CREAT or O_WRONLY, 0));
  fpunlink('program.pas');
  writeln('left');
end.
