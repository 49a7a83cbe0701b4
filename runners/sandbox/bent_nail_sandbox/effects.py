"""What a run left in the case's folder: files that are new, changed or gone."""
import base64
import os
import stat

MOST_FILES = 50
MOST_BYTES = 64 << 10


def effects(folder, files):
    """A list of {name, change: new | changed | gone, size, content (base64, the first 64 KiB)}, in the order of names. `files` are those that were given."""
    found = []
    seen = set()
    for where, folders, names in os.walk(folder):
        folders.sort()
        for name in sorted(names):
            path = os.path.join(where, name)
            short = os.path.relpath(path, folder)
            seen.add(short)
            if len(found) >= MOST_FILES:
                continue
            try:
                if not stat.S_ISREG(os.lstat(path).st_mode):
                    found.append({"name": short, "change": "new", "size": 0, "content": ""})
                    continue
                with open(path, "rb") as source:
                    data = source.read(MOST_BYTES)
                size = os.lstat(path).st_size
            except OSError:
                continue
            given = files.get(short)
            if given is None or size != len(given) or data != given[:MOST_BYTES]:
                found.append({"name": short, "change": "new" if given is None else "changed", "size": size, "content": base64.b64encode(data).decode()})
    found += [{"name": name, "change": "gone", "size": 0, "content": ""} for name in files if name not in seen and not os.path.isabs(name)]
    return found
