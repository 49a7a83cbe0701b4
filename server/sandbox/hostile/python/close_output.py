import os, sys
print("before")
os.close(1)
os.close(2)
os.closerange(3, 200)
sys.stdout.close()
