# Fills the private folder, then tries the rest of the machine.
import os
written = 0
try:
    for number in range(10000):
        with open("file%d" % number, "wb") as target:
            target.write(b"x" * 100000)
        written += 1
except OSError as problem:
    print("stopped after", written * 100000 <= 16 * 1024 * 1024, problem.errno)
for place in ("/usr/x", "/etc/x", "/x", "/dev/x", "/runner/x"):
    try:
        open(place, "w").write("x")
        print("wrote", place)
    except OSError:
        pass
