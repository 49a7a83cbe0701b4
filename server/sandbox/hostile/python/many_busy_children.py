# Children that each use little CPU time; together they pass the limit.
import os, time
for _ in range(8):
    if os.fork() == 0:
        end = time.process_time() + 1.2
        while time.process_time() < end:
            pass
        os._exit(0)
while True:
    try:
        os.wait()
    except OSError:
        break
print("all of it was had")
