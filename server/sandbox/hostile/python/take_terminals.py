import os
import time

kept = []
try:
    while len(kept) < 5000:
        kept.append(os.openpty())
except OSError:
    pass
time.sleep(0.5)
print("few", len(kept) <= 8)
