import os
found = [place for place in ("/tmp/left_behind", "/case/left_behind", "/dev/shm/left_behind") if os.path.exists(place)]
print("found", found, "others", len([name for name in os.listdir("/proc") if name.isdigit()]) - 2)
