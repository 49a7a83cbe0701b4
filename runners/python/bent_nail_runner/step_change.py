"""What is changed in a recorded run before one of its lines runs: a value put in, files altered or taken away. The text stays as it is."""
from bent_nail_sandbox.case_files import change_files, read_words


class StepChange:
    """Words as changeWords.ts gives them: step, line, name, value, then a name and "=text" or "" for each file."""

    def __init__(self, words):
        self.step, self.name, self.value, self.files = read_words(words)

    def files_now(self):
        return change_files(self.files)

    def tells_files(self):
        """Nothing is to be changed: the files are asked for."""
        return not self.name and not self.files

    def put_in(self, frame):
        """Puts the value in. Gives (name or None for a part of something, value, whether it is the program's own), or words."""
        code = frame.f_code
        now = frame.f_locals
        name = self.name
        try:
            if not name.isidentifier():
                exec(compile("%s = (%s)" % (name, self.value), "<value>", "exec"), frame.f_globals, now)
                return (None, None, False)
            value = eval(compile(self.value, "<value>", "eval"), frame.f_globals, now)
        except BaseException as problem:
            return "%s could not be given %s: %s: %s" % (name, self.value, type(problem).__name__, problem)
        of_program = now is frame.f_globals or name not in code.co_varnames + code.co_cellvars + code.co_freevars
        if of_program and now is not frame.f_globals and name not in frame.f_globals:
            return "There is no variable %s here, and a function cannot get a new one." % name
        # The interpreter takes over what stands in this very dictionary when the hook returns.
        (frame.f_globals if of_program else now)[name] = value
        return (name, value, of_program)
