import os

os.mkfifo("pipe")
os.symlink("/proc/self/mem", "link")
os.symlink("loop", "loop")
os.symlink("..", "up")
open(b"\xff\xfe", "w").write("x")
open("two\nlines", "w").write("x")
open("n" * 255, "w").write("x")
os.mkdir("closed")
os.chmod("closed", 0)
print("left")
