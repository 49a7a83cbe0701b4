"""What is changed in a recorded run before one of its lines runs: a value put in, files altered or taken away. The text stays as it is."""
import os


MOST_FILES = 40
MOST_TEXT = 8000


def files_here():
    """The files of the case's folder with what they hold, but its modules."""
    found = []
    for folder, folders, names in os.walk("."):
        folders[:] = sorted(each for each in folders if not each.startswith("__"))
        for name in sorted(names):
            path = os.path.relpath(os.path.join(folder, name))
            if path.endswith(".py") or len(found) == MOST_FILES:
                continue
            try:
                with open(path, "rb") as source:
                    found.append([path, source.read(MOST_TEXT).decode("utf-8", "replace")])
            except OSError:
                found.append([path, "(not readable)"])
    return found


class StepChange:
    """Words as changeWords.ts gives them: step, line, name, value, then a name and "=text" or "" for each file."""

    def __init__(self, words):
        self.step = int(words[0])
        self.name, self.value = words[2], words[3]
        self.files = list(zip(words[4::2], words[5::2]))

    def files_now(self):
        for name, content in self.files:
            try:
                if content == "":
                    os.unlink(name)
                else:
                    with open(name, "w", encoding="utf-8", newline="") as target:
                        target.write(content[1:])
            except OSError as problem:
                return "%s: %s" % (name, problem.strerror)
        return None

    def tells_files(self):
        """Nothing is to be changed: the files are asked for."""
        return not self.name and not self.files

    def put_in(self, frame):
        """Puts the value in. Gives (name or None for a part of something, value, whether it is the program's own), or words."""
        code = frame.f_code
        now = frame.f_locals
        name = self.name.strip()
        try:
            if not name.isidentifier():
                exec(compile("%s = (%s)" % (name, self.value), "<value>", "exec"), frame.f_globals, now)
                return (None, None, False)
            value = eval(compile(self.value.strip(), "<value>", "eval"), frame.f_globals, now)
        except BaseException as problem:
            return "%s could not be given %s: %s: %s" % (name, self.value.strip(), type(problem).__name__, problem)
        of_program = now is frame.f_globals or name not in code.co_varnames + code.co_cellvars + code.co_freevars
        if of_program and now is not frame.f_globals and name not in frame.f_globals:
            return "There is no variable %s here, and a function cannot get a new one." % name
        # The interpreter takes over what stands in this very dictionary when the hook returns.
        (frame.f_globals if of_program else now)[name] = value
        return (name, value, of_program)
