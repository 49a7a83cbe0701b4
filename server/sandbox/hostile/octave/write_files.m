written = 0;
for n = 1:10000
  f = fopen(sprintf("file%d", n), "w");
  if f < 0 || fwrite(f, zeros(1, 100000)) < 100000 || fclose(f) < 0
    break
  end
  written++;
end
printf("stopped in bounds: %d\n", written <= 168);
if fopen("/usr/x", "w") >= 0, disp("wrote"), end
