"""An independent stepper for C, inside gdb: steps a program line by line and prints, as JSON, the lines with the whole numbers that the line's
function and the program held after it. It knows nothing of the recorder.

gdb -nx -batch -x stepper_gdb.py PROGRAM   (BENT_NAIL_INPUT: file that is typed in, BENT_NAIL_SOURCE: name of the text)
"""
import json
import os

import gdb

INTEGERS = (gdb.TYPE_CODE_INT, gdb.TYPE_CODE_BOOL)
MOST = 4000


def written(value):
    """A whole number or an array of them as they are written; None for everything else."""
    kind = value.type.strip_typedefs()
    if kind.code == gdb.TYPE_CODE_INT and kind.sizeof > 1:
        return str(int(value))
    if kind.code == gdb.TYPE_CODE_ARRAY:
        low, high = kind.range()
        parts = [written(value[place]) for place in range(low, high + 1)]
        return None if not parts or None in parts else "[" + ", ".join(parts) + "]"
    return None


def state(frame):
    """(own, all): names with their values, as far as their lines have run."""
    own, everything = {}, {}
    line = frame.find_sal().line
    block = frame.block()
    hidden = set()
    while block:
        for symbol in block:
            if not symbol.is_variable and not symbol.is_argument:
                continue
            if symbol.name in hidden or (not block.is_global and not block.is_static and symbol.line >= line and not symbol.is_argument):
                hidden.add(symbol.name)
                continue
            hidden.add(symbol.name)
            try:
                text = written(symbol.value(frame))
            except gdb.error:
                continue
            if text is not None:
                (everything if block.is_global or block.is_static else own)[symbol.name] = text
        if block.is_static:
            break
        block = block.superblock
    return own, everything


def main():
    gdb.execute("set pagination off")
    gdb.execute("set confirm off")
    gdb.execute("skip -gfi /usr/*")
    gdb.execute("break main")
    gdb.execute("run < %s > /dev/null" % os.environ["BENT_NAIL_INPUT"], to_string=True)
    source = os.environ["BENT_NAIL_SOURCE"]
    steps = []
    while len(steps) < MOST:
        try:
            frame = gdb.selected_frame()
            place = frame.find_sal()
        except gdb.error:
            break
        if place.symtab is None or os.path.basename(place.symtab.filename) != source:
            try:
                gdb.execute("finish", to_string=True)
            except gdb.error:
                break
            continue
        depth = 0
        older = frame.older()
        while older:
            depth += 1
            older = older.older()
        own, everything = state(frame)
        steps.append({"line": place.line, "function": frame.name(), "depth": depth, "before": {"own": own, "all": everything}})
        try:
            if "received signal" in gdb.execute("step", to_string=True):
                break
        except gdb.error:
            break
    print("STEPS " + json.dumps(steps))


main()
