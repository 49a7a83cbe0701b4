"""The recorder: what every executed line of the student's files did, built on sys.settrace.

A step is one executed line; its writes are the values AFTER the line ran, so they are taken at the next event. The recording
leaves in chunks, JSON lists that are one flat stream of tokens:

    n > 0           a step: line n in the current frame
    n < 0           a write to column -n by the last step that has no later write; the next token is its value
    ["f", frame, file, depth]   the next steps are in this frame
    ["c", frame, file, depth, line, name]   the last step, if there is one, calls student code (its own writes come with the step
                    that resumes); a step on the header line of the function of this name, in a frame of its own
    ["r", frame, file, depth, line]         a step that resumes this line after a call
    ["d", column, scope, name]  column: scope 0 global, 1 local to the frame that writes
    ["v", value]    the last step returned a value that is not None
    ["x", name, message]        the last step raised
    ["e", column]   the scope of a name of the last step's frame is over (Java's recorder and C#'s)
    ["p", text]     text that was printed and is still held back by the program after the last step (C's recorder only)
    ["w", text]     what was to be changed before the last step was not, and why
    ["n", [[name, text], ...]]  the files beside the program before the last step, where they were asked for
    ["k", true or false]        the condition of the last step's line held or not (Octave's recorder only)
    ["o", object, path, value]  an element or field of an object changed; path [] is all of it

A value is a JSON number, true, false or null for an int, bool or None; ["-"] for what is gone; else as values.py says.
"""
import gc
import json
import os
import sys

from bent_nail_sandbox.case_files import files_here

from .line_facts import QUIET_FUNCTIONS, read_facts
from .object_changes import GONE, check_object
from .step_change import StepChange
from .values import HIDDEN, Values

CHUNK = 256
SAFE = 2 ** 53
MISSING = object()
GENERATOR_FLAGS = 0x20 | 0x80 | 0x200
HIDDEN_FRAMES = frozenset(("<listcomp>", "<dictcomp>", "<setcomp>", "<genexpr>"))
NOTHING = ((), (), (), ())


class StepLimit(BaseException):
    """More lines ran than are recorded."""


def start_recording(console, files, texts, step_limit, on_limit, change=None):
    """Begins recording the calling thread. `files` maps file names as compiled to numbers, `texts` to the files' bytes.

    `change`: what is changed before a step (step_change.py).

    Returns (end, flush): `end` stops, writes what is left and gives the number of steps; `flush` writes what there is.
    """
    values = Values(frozenset(["__main__"] + [name.rpartition("/")[2][:-3] for name in files if name.endswith(".py")]))
    tracked = values.tracked
    token = values.token
    facts = {}
    own_functions = set()
    own_classes = set()
    for name, text in texts.items():
        facts[files[name]], functions, classes = read_facts(text, name)
        own_functions |= functions
        own_classes |= classes
    codes = {}
    handlers = {}
    global_known = {}
    columns = ({}, {})
    stack = []
    log = []
    append = log.append
    count = 0
    stop_at = min(CHUNK, step_limit)
    shown = -1
    next_frame = 0
    sweep_at = 256
    resumed = -1
    refcount = getattr(sys, "getrefcount", None)
    own_pid = os.getpid()
    change = StepChange(change) if change else None
    change_at = change.step if change else -1

    def flush():
        if log:
            kept = console.append(b"T", json.dumps(log, separators=(",", ":")).encode("utf-8", "backslashreplace"))
            del log[:]
            if not kept:
                sys.settrace(None)
                on_limit()

    def milestone():
        """Every few steps: write them out, and end at the limit."""
        nonlocal stop_at
        if count > step_limit:
            del log[-1]
            sys.settrace(None)
            flush()
            on_limit()
            raise StepLimit()
        if count > stop_at:
            last = log.pop()
            flush()
            append(last)
            stop_at = min(stop_at + CHUNK, step_limit)

    def column_of(scope, name):
        column = columns[scope].get(name)
        if column is None:
            column = columns[scope][name] = -1 - len(columns[0]) - len(columns[1])
            append(["d", -column, scope, name])
        return column

    def write(known, name, value, scope):
        """A name got another value; functions, classes and modules have no column."""
        before = known.get(name, MISSING)
        if value is MISSING:
            if before is not MISSING:
                del known[name]
                if not isinstance(before, HIDDEN):
                    append(column_of(scope, name))
                    append(GONE)
            return
        known[name] = value
        if name[:2] == "__" and name[-2:] == "__" or isinstance(value, HIDDEN):
            return
        column = columns[scope].get(name)
        if column is None:
            column = column_of(scope, name)
        written = token(value)
        append(column)
        append(written)

    def check_all(known, found, scope):
        for name in list(found):
            value = found[name] if name in found else MISSING
            if value is not known.get(name, MISSING):
                write(known, name, value, scope)
        if len(known) > len(found):
            for name in [name for name in known if name not in found]:
                write(known, name, MISSING, scope)

    def sweep():
        """Looks at every tracked object; those that nothing but the recorder holds are forgotten."""
        nonlocal sweep_at
        for key, entry in list(tracked.items()):
            if refcount is not None and refcount(entry[0]) <= 2:
                del tracked[key]
            else:
                check_object(values, entry, append)
        sweep_at = max(256, 2 * len(tracked))

    def look_at(found, everywhere, watched, deep):
        for name in watched:
            value = found.get(name, MISSING)
            if value is MISSING:
                value = everywhere.get(name, MISSING)
            entry = tracked.get(id(value))
            if entry is None:
                continue
            check_object(values, entry, append)
            if name in deep:
                for inner in (entry[3].values() if type(entry[3]) is dict else entry[3]):
                    below = tracked.get(id(inner))
                    if below is not None:
                        check_object(values, below, append)

    def plan_for(code, line, fact, found, everywhere):
        """(names, global names, watched, deep) of a line: names None for all, watched None for a sweep."""
        if fact is None:
            return (None, (), None, ())
        watched = fact.watched
        if watched is not None:
            for name in fact.functions:
                callee = found.get(name, everywhere.get(name, MISSING))
                quiet = name in QUIET_FUNCTIONS and callee is MISSING or name in own_functions or name in own_classes
                if not quiet and not (callee is MISSING and name not in everywhere):
                    watched = None
                elif callee is MISSING and name not in QUIET_FUNCTIONS:
                    builtin = getattr(sys.modules["builtins"], name, None)
                    if not (isinstance(builtin, type) and issubclass(builtin, BaseException)):
                        watched = None
                if watched is None:
                    break
        if watched is not None and any(method not in own_functions for method in fact.methods):
            watched = None
        names = fact.names
        global_names = ()
        if names is not None:
            if code.co_name != "<module>" and code.co_flags & 1:
                local = set(code.co_varnames + code.co_cellvars + code.co_freevars)
                global_names = tuple(name for name in names if name not in local and name in code.co_names)
                names = tuple(name for name in names if name in local)
            else:
                names = tuple(names)
        if names == () and not global_names and watched is not None and not watched and not values.finalizers and not code.co_cellvars:
            return NOTHING
        return (names, global_names, None if watched is None else tuple(watched), fact.deep)

    def change_now(frame, known):
        """The line is about to run: what is to be changed before it is, and is told as a write of this step."""
        if change.tells_files():
            append(["n", files_here()])
        problem = change.files_now()
        if problem is None and change.name:
            done = change.put_in(frame)
            if isinstance(done, str):
                problem = done
            elif done[0] is None:
                sweep()
            else:
                name, value, of_program = done
                write(global_known if of_program else known, name, value, 0 if of_program else 1)
        if problem is not None:
            append(["w", problem])

    def handler_for(frame, number, file, depth, known, plans):
        """The trace function of one frame. `known` is what its names hold as far as it is recorded."""
        code = frame.f_code
        everywhere = frame.f_globals
        is_main = number == 0 or not code.co_flags & 1 and frame.f_locals is everywhere
        found = everywhere if is_main else None
        scope = 0 if is_main else 1
        own_columns = columns[scope]
        cells = code.co_cellvars and not is_main
        plan = NOTHING
        # The body of a class is run like a function, and nobody called it.
        body = number != 0 and not code.co_flags & 1

        def on_event(frame, event, argument):
            nonlocal plan, count, shown, resumed
            if plan is not NOTHING and event != "exception":
                names, global_names, watched, deep = plan
                if names:
                    now = found if found is not None else frame.f_locals
                    for name in names:
                        value = now.get(name, MISSING)
                        if value is not known.get(name, MISSING):
                            if value.__class__ is int and -SAFE < value < SAFE and name in own_columns:
                                known[name] = value
                                append(own_columns[name])
                                append(value)
                            else:
                                write(known, name, value, scope)
                elif names is None:
                    check_all(known, found if found is not None else frame.f_locals, scope)
                if global_names:
                    for name in global_names:
                        value = everywhere.get(name, MISSING)
                        if value is not global_known.get(name, MISSING):
                            write(global_known, name, value, 0)
                if tracked:
                    if watched is None or len(tracked) > sweep_at or values.finalizers:
                        sweep()
                    elif watched:
                        look_at(found if found is not None else frame.f_locals, everywhere, watched, deep)
                if cells and resumed == number:
                    check_all(known, frame.f_locals, scope)
            if event == "line":
                line = frame.f_lineno
                try:
                    plan = plans[line]
                except KeyError:
                    plan = plans[line] = plan_for(code, line, facts.get(file, {}).get(line), found if found is not None else frame.f_locals, everywhere)
                if shown != number:
                    shown = number
                    append(["f", number, file, depth])
                append(line)
                count += 1
                if count > stop_at:
                    milestone()
                if count - 1 == change_at:
                    change_now(frame, known)
            elif event == "return":
                plan = NOTHING
                if argument is not None:
                    append(["v", token(argument)])
                if stack and stack[-1][0] is frame:
                    stack.pop()
                    if body:
                        resumed = stack[-1][1] if stack else -1
                    elif stack:
                        caller, resumed, caller_file, caller_depth = stack[-1]
                        line = caller.f_lineno
                        if line is not None:
                            shown = resumed
                            append(["r", resumed, caller_file, caller_depth, line])
                            count += 1
                            if count > stop_at:
                                milestone()
            elif event == "exception":
                problem = values.describe_problem(argument[1]) if isinstance(argument[1], BaseException) else [argument[0].__name__, str(argument[1])]
                append(["x"] + problem)
            # This very function; by its own name it would hold itself, and with it the frame, until the collector comes by.
            return frame.f_trace

        return on_event

    def after_first_line(handler):
        """A class begins with a line of the interpreter's own, which is none of the program's."""
        def on_first(frame, event, argument):
            return handler if event == "line" else handler(frame, event, argument)

        return on_first

    def on_call(frame, event, argument):
        nonlocal next_frame, count, shown
        code = frame.f_code
        entry = codes.get(id(code))
        if entry is None:
            own = code.co_filename in files and code.co_name not in HIDDEN_FRAMES
            entry = codes[id(code)] = (code, files[code.co_filename] if own else -1, {}, code.co_flags & GENERATOR_FLAGS)
        file = entry[1]
        if file < 0:
            return None
        depth = len(stack)
        known_handler = handlers.get(frame) if entry[3] else None
        if known_handler is None:
            number = next_frame
            next_frame += 1
            known = {} if number else global_known
            handler = handler_for(frame, number, file, depth, known, entry[2])
            if entry[3]:
                handlers[frame] = (number, handler, known)
        else:
            number, handler, known = known_handler
        stack.append((frame, number, file, depth))
        if number != 0:
            shown = number
            append(["c", number, file, depth, frame.f_lineno or code.co_firstlineno, code.co_name])
            count += 1
            if count > stop_at:
                milestone()
            # The parameters have their values; the body of a class, run like a function, has none yet.
            if code.co_flags & 1:
                own_columns = columns[1]
                for name, value in frame.f_locals.items():
                    if value.__class__ is int and -SAFE < value < SAFE and name in own_columns:
                        known[name] = value
                        append(own_columns[name])
                        append(value)
                    elif value is not known.get(name, MISSING):
                        write(known, name, value, 1)
        return handler if number == 0 or code.co_flags & 1 else after_first_line(handler)

    def end():
        sys.settrace(None)
        flush()
        return count

    leave = os._exit

    def flush_and_leave(code):
        """os._exit, with what was recorded so far kept."""
        if os.getpid() == own_pid:
            flush()
        leave(code)

    def forget_in_child():
        """A process that the program forks is not recorded, and leaves what its parent recorded alone."""
        sys.settrace(None)
        del log[:]

    os._exit = flush_and_leave
    if hasattr(os, "register_at_fork"):
        os.register_at_fork(after_in_child=forget_in_child)
    # The recording itself makes many small lists; without this the collector would look at them again and again.
    gc.set_threshold(20_000, 20, 20)
    console.count_steps = lambda: count
    sys.settrace(on_call)
    return end, flush
