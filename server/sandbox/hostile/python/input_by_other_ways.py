import os
import subprocess

print("first", input())
print("copy", os.read(os.dup(0), 4))
print("child", subprocess.run(["head", "-c", "4"], stdout=subprocess.PIPE).stdout)
with open("/dev/stdin") as source:
    print("name", source.readline().strip())
try:
    print("rest", repr(input()))
except EOFError:
    print("end")
