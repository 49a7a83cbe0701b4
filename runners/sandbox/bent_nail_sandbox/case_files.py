"""The files of a case's folder while its program runs: altered, taken away, told. For the recorders."""
import os

MOST_FILES = 40
MOST_TEXT = 8000
SOURCES = (".py", ".c", ".h", ".pas", ".pp", ".inc", ".o", ".ppu")


def read_words(words):
    """What is changed at a step, as changeWords.ts gives it: step, name, value, and pairs of a file's name and "=text" or ""."""
    return int(words[0]), words[2].strip(), words[3].strip(), list(zip(words[4::2], words[5::2]))


def change_files(files):
    """Alters and takes away files. Gives words where that could not be done, else None."""
    for name, content in files:
        try:
            if content == "":
                os.unlink(name)
                continue
            with open(name, "w", encoding="utf-8", newline="") as target:
                target.write(content[1:])
        except OSError as problem:
            return "%s: %s" % (name, problem.strerror)
    return None


def files_here(program=None):
    """The files of the case's folder with what they hold, but sources and what is built of them (`program`)."""
    found = []
    for folder, folders, names in os.walk("."):
        folders[:] = sorted(each for each in folders if not each.startswith("__"))
        for name in sorted(names):
            path = os.path.relpath(os.path.join(folder, name))
            if path == program or path.endswith(SOURCES) or len(found) == MOST_FILES:
                continue
            try:
                with open(path, "rb") as source:
                    found.append([path, source.read(MOST_TEXT).decode("utf-8", "replace")])
            except OSError:
                found.append([path, "(not readable)"])
    return found
