program Search;
{$mode objfpc}
uses SysUtils, BaseUnix;
var
  maps: TextFile;
  line: string;
  data: array of byte;
  memory: cint;
  start, stop, at: QWord;
  size, index, found: int64;
begin
  found := 0;
  SetLength(data, 1 shl 20);
  memory := FpOpen('/proc/self/mem', O_RDONLY);
  AssignFile(maps, '/proc/self/maps');
  Reset(maps);
  while not Eof(maps) do
  begin
    ReadLn(maps, line);
    if (Pos(' r', line) = 0) or (Pos('[v', line) > 0) then continue;
    start := StrToQWord('$' + Copy(line, 1, Pos('-', line) - 1));
    stop := StrToQWord('$' + Copy(line, Pos('-', line) + 1, Pos(' ', line) - Pos('-', line) - 1));
    at := start;
    while at < stop do
    begin
      size := Length(data);
      if stop - at < QWord(size) then size := stop - at;
      FpLSeek(memory, at, SEEK_SET);
      size := FpRead(memory, data[0], size);
      if size <= 0 then break;
      index := 0;
      while index + 7 < size do
      begin
        if (data[index] = ord('K')) and (data[index + 1] = ord('q')) and (data[index + 2] = ord('7')) and (data[index + 3] = ord('Z'))
          and (data[index + 4] = ord('w')) and (data[index + 5] = ord('9')) and (data[index + 6] = ord('-'))
          and (data[index + 7] >= ord('a')) and (data[index + 7] <= ord('z')) then found := found + 1;
        index := index + 1;
      end;
      at := at + QWord(Length(data));
    end;
  end;
  WriteLn('found ', found);
end.
