import os
import time

for number in range(1, 65):
    if number not in (9, 19):
        os.kill(1, number)
os.kill(1, 9)
os.kill(1, 19)
time.sleep(0.1)
print("still here", os.getppid())
