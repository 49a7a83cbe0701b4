"""The recorder: what every executed line of the student's files did, built on sys.settrace.

A step is one executed line; its writes are the values AFTER the line ran, so a step is completed at the
next event. A step is the list [line, file, frame, depth, extra or 0, writes or 0]:

    extra   {"call": name} on the line of a function's header when it is entered, {"calls": 1} on a line that
            calls student code, {"resumes": 1} on its second step, "raised": [name, message], "returned": value
    write   [scope, owner, path, value or 0 when the name or element is gone]; scope 0 global, 1 frame
            (owner = frame number), 2 object (owner = object number)

Steps leave in chunks (JSON lists) through `emit`.
"""
import json
import os
import sys
from operator import is_

from .code_lines import HIDDEN_FRAMES, lines_of
from .values import HIDDEN, ITEM_LIMIT, Values

CHUNK = 200
MISSING = object()
GENERATOR_FLAGS = 0x20 | 0x80 | 0x200


class StepLimit(BaseException):
    """More lines ran than are recorded."""


def object_changes(entry, values, writes):
    """Compares a tracked object with what it held before and appends the differences to `writes`."""
    value, number, shape, before = entry
    _, after = values.contents(value)
    entry[3] = after
    if shape == "s":
        writes.append([2, number, [], [type(value).__name__, None, number, values.items("s", after, 1), "s"]])
        return
    if shape == "l":
        shorter = min(len(before), len(after), ITEM_LIMIT)
        changed = [i for i in range(shorter) if before[i] is not after[i]]
        if len(changed) > 4 and len(changed) * 2 > len(after):
            whole = [type(value).__name__, None, number, values.items("l", after, 1), "l"]
            if len(after) > ITEM_LIMIT:
                whole.append(len(after))
            writes.append([2, number, [], whole])
            return
        for i in changed:
            writes.append([2, number, [i], values.render(after[i], 1)])
        for i in range(len(before), min(len(after), ITEM_LIMIT)):
            writes.append([2, number, [i], values.render(after[i], 1)])
        for i in range(min(len(before), ITEM_LIMIT) - 1, len(after) - 1, -1):
            writes.append([2, number, [i], 0])
        if len(after) > ITEM_LIMIT and len(after) != len(before):
            writes.append([2, number, ["length"], ["int", str(len(after))]])
        return
    as_text = values.key_text if shape == "d" else str
    for key in before:
        if key not in after:
            writes.append([2, number, [as_text(key)], 0])
    for position, key in enumerate(after):
        if position >= ITEM_LIMIT:
            break
        if before.get(key, MISSING) is not after[key]:
            writes.append([2, number, [as_text(key)], values.render(after[key], 1)])


def same_contents(value, shape, before):
    """True when a tracked object still holds the very same elements."""
    if shape == "l":
        if type(value) is not list:
            after = list(value) if not isinstance(value, list) else list.copy(value)
            return len(after) == len(before) and all(map(is_, after, before))
        return len(value) == len(before) and all(map(is_, value, before))
    if shape == "d":
        return len(value) == len(before) and all(map(is_, dict.values(value), before.values())) and all(map(is_, dict.keys(value), before))
    return None


def start_recording(console, files, step_limit, on_limit):
    """Begins recording the calling thread. `files` maps file names as compiled to their numbers.

    Returns a function that ends the recording, writes what is left and gives the number of steps.
    """
    values = Values(frozenset(["__main__"] + [name.rpartition("/")[2][:-3] for name in files if name.endswith(".py")]))
    tracked = values.tracked
    render = values.render
    codes = {}
    frames = {}
    chunk = []
    state_global = {}
    pending = None
    pending_state = None
    depth = 0
    count = 0
    next_frame = 0
    refcount = getattr(sys, "getrefcount", None)
    main_globals = None
    own_pid = os.getpid()

    def flush():
        if chunk:
            kept = console.append(b"T", json.dumps(chunk, separators=(",", ":")).encode("utf-8", "backslashreplace"))
            chunk.clear()
            if not kept:
                sys.settrace(None)
                on_limit()

    def check_names(names, found, known, scope, owner, writes):
        for name in (list(found) if names is None else names):
            value = found.get(name, MISSING)
            before = known.get(name, MISSING)
            if value is not before:
                if value is MISSING:
                    del known[name]
                    if not isinstance(before, HIDDEN):
                        writes.append([scope, owner, [name], 0])
                    continue
                known[name] = value
                if name[:2] == "__" and name[-2:] == "__" or isinstance(value, HIDDEN):
                    continue
                writes.append([scope, owner, [name], render(value)])
        if names is None and len(known) > len(found):
            for name in [name for name in known if name not in found]:
                before = known.pop(name)
                if not isinstance(before, HIDDEN):
                    writes.append([scope, owner, [name], 0])

    def check_objects(writes):
        for key, entry in list(tracked.items()):
            value = entry[0]
            if refcount is not None and refcount(value) <= 3:
                del tracked[key]
                continue
            shape = entry[2]
            same = same_contents(value, shape, entry[3])
            if same is None:
                if shape == "s":
                    after = values.contents(value)[1]
                    before = entry[3]
                    same = len(after) == len(before) and all(map(is_, after, before))
                else:
                    after = values.fields(value)
                    before = entry[3]
                    same = len(after) == len(before) and all(map(is_, after.values(), before.values())) and after.keys() == before.keys()
            if not same:
                object_changes(entry, values, writes)

    def complete(everything=False):
        """Gives the pending step the values after its line."""
        nonlocal pending
        frame, number, known, lines, _ = pending_state
        names, global_names, changes = lines.get(pending[0], (None, (), True))
        writes = []
        if everything:
            names = None
        found = frame.f_locals
        if number == 0 or frame.f_globals is found:
            if names is None or names or global_names:
                check_names(None if names is None else names + global_names, found, state_global, 0, 0, writes)
        else:
            if names is None or names:
                check_names(names, found, known, 1, number, writes)
            if global_names or everything:
                check_names(global_names if not everything else None, frame.f_globals, state_global, 0, 0, writes)
        if tracked and (changes or everything):
            check_objects(writes)
        if writes:
            pending[5] = writes
        pending = None

    def begin(line, state, extra=0):
        nonlocal pending, pending_state, count
        if count >= step_limit:
            stop()
            on_limit()
            raise StepLimit()
        frame = state[0]
        pending = [line, state[4], state[1], depth, extra, 0]
        pending_state = state
        chunk.append(pending)
        count += 1
        console.step = count
        if len(chunk) > CHUNK:
            last = chunk.pop()
            flush()
            chunk.append(last)

    def note(key, value):
        if pending[4] == 0:
            pending[4] = {}
        pending[4][key] = value

    def on_event(frame, event, argument):
        nonlocal depth
        if event == "line":
            if pending is not None:
                complete(pending[4] != 0 and "resumes" in pending[4])
            begin(frame.f_lineno, frames[frame][1] if frame in frames else enter(frame))
        elif event == "return":
            if pending is not None:
                if argument is not None:
                    note("returned", render(argument))
                complete(pending[4] != 0 and "resumes" in pending[4])
            entry = frames.get(frame)
            if entry is not None:
                caller = entry[0]
                if not frame.f_code.co_flags & GENERATOR_FLAGS:
                    del frames[frame]
                depth -= 1
                if caller is not None and caller in frames:
                    begin(caller.f_lineno, frames[caller][1], {"resumes": 1})
        elif event == "exception":
            if pending is not None:
                note("raised", values.describe_problem(argument[1]) if isinstance(argument[1], BaseException) else [argument[0].__name__, str(argument[1])])
        return on_event

    def enter(frame):
        nonlocal next_frame, main_globals
        code = frame.f_code
        lines = codes[id(code)][1]
        state = (frame, next_frame, state_global if next_frame == 0 else {}, lines, files[code.co_filename])
        next_frame += 1
        frames[frame] = [None, state]
        return state

    def on_call(frame, event, argument):
        nonlocal depth
        code = frame.f_code
        known_code = codes.get(id(code))
        if known_code is None:
            own = code.co_filename in files and code.co_name not in HIDDEN_FRAMES
            known_code = codes[id(code)] = (code, lines_of(code) if own else None)
        if known_code[1] is None or os.getpid() != own_pid:
            return None
        if pending is not None:
            note("calls", 1)
            complete()
        entry = frames.get(frame)
        state = entry[1] if entry is not None else enter(frame)
        caller = frame.f_back
        while caller is not None and caller not in frames:
            caller = caller.f_back
        frames[frame][0] = caller
        if state[1] != 0:
            depth += 1
            begin(frame.f_lineno or code.co_firstlineno, state, {"call": code.co_name})
            complete(True)
        return on_event

    def stop():
        sys.settrace(None)
        flush()
        return count

    def end():
        sys.settrace(None)
        if pending is not None:
            try:
                complete(True)
            except BaseException:
                pass
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
        chunk.clear()

    os._exit = flush_and_leave
    if hasattr(os, "register_at_fork"):
        os.register_at_fork(after_in_child=forget_in_child)
    sys.settrace(on_call)
    return end, flush
