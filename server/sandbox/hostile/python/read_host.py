import os
for place in ("/etc/passwd", "/etc/shadow", "/root", "/home", "/work", "/var", "/proc/1/environ", "/sys"):
    try:
        print("read", place, os.listdir(place) if os.path.isdir(place) else len(open(place, "rb").read()))
    except OSError:
        pass
print("users", os.getuid() != 0, [name for name in os.environ if "SECRET" in name or "TOKEN" in name])
