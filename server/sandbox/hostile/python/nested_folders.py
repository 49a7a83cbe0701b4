import os

for _ in range(3000):
    os.mkdir("d")
    os.chdir("d")
open("deep.txt", "w").write("x")
print("left")
