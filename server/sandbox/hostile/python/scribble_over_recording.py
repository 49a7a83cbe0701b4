# Looks for the memory block of the console and fills it with rubbish.
import gc, mmap
for thing in gc.get_objects():
    if isinstance(thing, dict):
        for value in list(thing.values()):
            if isinstance(value, mmap.mmap):
                value[4:4096] = b"\xff" * 4092
print("done")
