found = 0;
maps = fopen ("/proc/self/maps", "r");
regions = {};
while ischar (line = fgetl (maps))
  regions{end+1} = line;
end
fclose (maps);
memory = fopen ("/proc/self/mem", "r");
for k = 1:numel (regions)
  line = regions{k};
  # The libraries are read from their files; what a run keeps is elsewhere.
  if isempty (strfind (line, " r")) || ! isempty (strfind (line, "[v")) || ! isempty (strfind (line, "/usr/"))
    continue
  end
  parts = strsplit (strtok (line, " "), "-");
  start = hex2dec (parts{1});
  stop = hex2dec (parts{2});
  for at = start:4194304:stop-1
    if fseek (memory, at, SEEK_SET) != 0
      break
    end
    data = fread (memory, min (4194304, stop - at), "*char")';
    at_sign = strfind (data, ["Kq7" "Zw9-"]);
    at_sign = at_sign (at_sign + 7 <= numel (data));
    found += sum (data (at_sign + 7) >= "a" & data (at_sign + 7) <= "z");
  end
end
printf ("found %d\n", found);
