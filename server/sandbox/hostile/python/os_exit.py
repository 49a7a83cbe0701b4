import os
print("one")
os._exit(3)
