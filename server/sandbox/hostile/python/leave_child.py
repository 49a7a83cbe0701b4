import os, time
if os.fork() == 0:
    os.setsid()
    if os.fork() == 0:
        time.sleep(60)
    os._exit(0)
with open("/tmp/left_behind", "w") as target:
    target.write("x")
with open("left_behind", "w") as target:
    target.write("x")
with open("/dev/shm/left_behind", "w") as target:
    target.write("x")
print("left")
