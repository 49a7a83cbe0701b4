# 40 children of 16 MiB each: none is large, together they pass the limit.
import os, time
for _ in range(40):
    if os.fork() == 0:
        block = bytearray(16 * 1024 * 1024)
        for at in range(0, len(block), 4096):
            block[at] = 1
        time.sleep(10)
        os._exit(0)
time.sleep(10)
print("all of it was had")
