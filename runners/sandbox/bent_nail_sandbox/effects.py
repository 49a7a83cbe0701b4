"""What a run left in the case's folder: files that are new, changed or gone."""
import base64
import os
import stat

MOST_FILES = 50
MOST_BYTES = 64 << 10
MOST_ENTRIES = 8192  # the folder holds no more than half as many (namespaces.py)
DEEPEST = 40


def entries(folder):
    """(path within the folder, its status) of everything below it, folders left out, by name; what lies deeper than anyone looks is passed over."""
    waiting = [("", 0)]
    seen = 0
    while waiting:
        inner, depth = waiting.pop()
        try:
            names = sorted(os.listdir(os.path.join(folder, inner)))
        except OSError:
            continue
        below = []
        for name in names:
            seen += 1
            if seen > MOST_ENTRIES:
                return
            short = os.path.join(inner, name)
            try:
                status = os.lstat(os.path.join(folder, short))
            except OSError:
                continue
            if not stat.S_ISDIR(status.st_mode):
                yield short, status
            elif depth < DEEPEST:
                below.append((short, depth + 1))
        waiting.extend(reversed(below))


def first_bytes(path):
    """What a file begins with, up to as much of it as is told."""
    descriptor = os.open(path, os.O_RDONLY | os.O_NONBLOCK | os.O_CLOEXEC)
    try:
        data = b""
        while len(data) < MOST_BYTES:
            part = os.read(descriptor, MOST_BYTES - len(data))
            if not part:
                break
            data += part
        return data
    finally:
        os.close(descriptor)


def effects(folder, files):
    """A list of {name, change: new | changed | gone, size, content (base64, the first 64 KiB)}, folder by folder. `files` are those that were given. Never raises."""
    found = []
    seen = set()
    for short, status in entries(folder):
        seen.add(short)
        if len(found) >= MOST_FILES:
            continue
        if not stat.S_ISREG(status.st_mode):
            found.append({"name": short, "change": "new", "size": 0, "content": ""})
            continue
        try:
            data = first_bytes(os.path.join(folder, short))
        except OSError:
            continue
        given = files.get(short)
        if given is None or status.st_size != len(given) or data != given[:MOST_BYTES]:
            found.append({"name": short, "change": "new" if given is None else "changed", "size": status.st_size, "content": base64.b64encode(data).decode()})
    found += [{"name": name, "change": "gone", "size": 0, "content": ""} for name in files if os.path.normpath(name) not in seen and not os.path.isabs(name)]
    return found
