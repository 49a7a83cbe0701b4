disp ("begins")
system ("for i in 1 2 3 4 5 6 7 8 9 10 11 12 13 14; do python3 -c 'import time; x = bytearray(60 << 20); x[::4096] = b\"1\" * len(x[::4096]); time.sleep(30)' & done; wait");
disp ("all of it")
