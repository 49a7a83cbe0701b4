"""An independent stepper for Python: runs PROGRAM and prints, as JSON, every step with all that its frame and the program's globals held after
it, each value as the interpreter writes it. It looks at everything after every line and knows nothing of the recorder."""
import json
import sys

PLAIN = (int, float, str, bool, type(None), bytes, complex)
HIDDEN = {"<listcomp>", "<dictcomp>", "<setcomp>", "<genexpr>"}


def written(value, depth=0):
    """How the interpreter writes it, or None for what is written in a way of our own."""
    if type(value) in PLAIN:
        return repr(value)
    if type(value) in (list, tuple, dict) and depth < 5 and len(value) <= 100:
        inner = list(value.values()) + list(value.keys()) if type(value) is dict else value
        return repr(value) if all(written(each, depth + 1) is not None for each in inner) else None
    return None


def state(names):
    return {name: text for name, text in ((name, written(value)) for name, value in list(names.items()) if not name.startswith("__")) if text is not None}


def main():
    path = sys.argv[1]
    steps = []
    stack = []
    begun = set()
    with open(path, "rb") as source:
        code = compile(source.read(), path, "exec")
    everything = {"__name__": "__main__", "__builtins__": __builtins__}

    def after(frame):
        """What the step that began last has left."""
        if steps and steps[-1]["after"] is None:
            steps[-1]["after"] = {"own": {} if frame.f_code.co_name == "<module>" else state(frame.f_locals), "all": state(everything)}

    def step(frame, line, kind):
        steps.append({"line": line, "kind": kind, "after": None})

    def on_event(frame, event, argument):
        body = frame.f_code.co_name != "<module>" and not frame.f_code.co_flags & 1
        if event == "line":
            after(frame)
            if body and frame not in begun:
                begun.add(frame)
                return on_event
            step(frame, frame.f_lineno, "line")
        elif event == "return":
            after(frame)
            if stack and stack[-1] is frame:
                stack.pop()
            if stack and not body:
                step(stack[-1], stack[-1].f_lineno, "resume")
        return on_event

    def on_call(frame, event, argument):
        if frame.f_code.co_filename != path or frame.f_code.co_name in HIDDEN:
            return None
        if stack:
            after(stack[-1])
        stack.append(frame)
        if frame.f_code.co_name != "<module>":
            step(frame, frame.f_lineno, "call")
            # The parameters have their values at once; a class has none.
            after(frame)
        return on_event

    out = sys.stdout
    sys.stdout = open("/dev/null", "w")
    sys.argv = [path]
    sys.settrace(on_call)
    try:
        exec(code, everything)
    except BaseException:
        pass
    finally:
        sys.settrace(None)
    sys.stdout = out
    print(json.dumps(steps))


main()
