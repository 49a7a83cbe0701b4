[status, said] = system ("python3 -c 'import os\nn = 0\ntry:\n  while n < 5000: os.openpty(); n += 1\nexcept OSError: pass\nprint(n <= 8)'");
disp (strtrim (said))
