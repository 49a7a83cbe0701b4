[status, said] = system ("python3 -c 'import ctypes; c = ctypes.CDLL(None).syscall; print([n for n in (425, 323, 101, 321, 319, 435) if c(n, 0, 0, 0, 0, 0) != -1], c(272, 0x10000000))'");
disp (strtrim (said))
