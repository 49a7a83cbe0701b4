# Looks for the texts of other runs: in its own memory, behind open descriptors, in shared memory and in what is left in folders.
import os
import re

sign = re.compile(b"Kq7" + b"Zw9-[a-z]+[a-z ]*")
found = set()


def look(place, data):
    for match in sign.findall(data):
        found.add(place + " " + match.decode())


with open("/proc/self/maps") as maps:
    regions = [line.split() for line in maps]
with open("/proc/self/mem", "rb", 0) as memory:
    for region in regions:
        start, end = (int(part, 16) for part in region[0].split("-"))
        if "r" not in region[1] or region[-1] in ("[vvar]", "[vsyscall]"):
            continue
        for at in range(start, end, 1 << 20):
            try:
                memory.seek(at)
                look("memory", memory.read(min(1 << 20, end - at)))
            except OSError:
                break
for name in os.listdir("/proc/self/fd"):
    path = "/proc/self/fd/" + name
    try:
        if os.path.isfile(path):
            with open(path, "rb") as source:
                look("descriptor", source.read(1 << 20))
        look("descriptor", os.readlink(path).encode())
    except OSError:
        pass
for folder in ("/tmp", "/dev/shm", "/case", "/dev/mqueue", "/var/tmp", "/run"):
    for where, folders, names in os.walk(folder):
        for name in names + folders:
            look("folder", name.encode("utf-8", "surrogateescape"))
        for name in names:
            try:
                with open(os.path.join(where, name), "rb") as source:
                    look("file", source.read(1 << 20))
            except OSError:
                pass
for name in os.listdir("/proc"):
    if name.isdigit():
        for part in ("cmdline", "environ"):
            try:
                with open("/proc/%s/%s" % (name, part), "rb") as source:
                    look("process", source.read(1 << 20))
            except OSError:
                pass
print("found", sorted(found))
