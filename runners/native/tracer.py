"""The recorder of compiled programs: runs one under its own control and writes what every executed line did.

The host of runs calls main in a fork of its own, so that nothing has to be loaded anew. Arguments: PROGRAM STEPS TRASH LANGUAGE NAMES FILE... (files of the case in order; TRASH: the byte of memory that was not
set; NAMES: JSON {"file:line": [names that the line gives a value]}).
It stops the program at the beginning of every line that the compiler tells of, reads the variables that can be seen there, and writes
the changes as the line before it did. The recording goes to descriptor 60 (commands.py says how), as the stream of tokens that the
Python recorder describes. Nothing is put into the program but the stops, and those are out of the way when an instruction is run.
"""
import json
import mmap
import os
import re
import signal
import struct

import machine as control
from bent_nail_sandbox.case_files import files_here
from debug_information import read_program
from native_types import Aggregate, Types
from one_line_loops import pass_places
from step_change import StepChange
from unprinted import held_back, place_of_output

HEADER = struct.Struct("<IIII")
CHUNK = 128
MOST_BEHIND = 3  # changes behind the written part of a long array: so many are told, the last ones
ONLY_END = re.compile(r"^\s*(?:[{}]+;?|begin|end[;.]?)\s*(?://.*|/\*.*\*/)?$", re.I)
CALLS = re.compile(r"\b(?!(?:if|for|while|switch|return|sizeof)\b)[A-Za-z_]\w*\s*\(|\)\s*\(")
SIGNALS = {4: "SIGILL", 6: "SIGABRT", 7: "SIGBUS", 8: "SIGFPE", 11: "SIGSEGV"}
WORDS = {4: "Illegal instruction", 6: "Aborted", 7: "Bus error", 8: "Floating point exception", 11: "Segmentation fault"}


class Recording:
    """The tokens, written out every few steps, and the place that the console's keeper reads."""

    def __init__(self, limit):
        self.memory = mmap.mmap(60, 0)
        self.used = HEADER.size
        self.tokens = []
        self.count = 0
        self.limit = limit

    def begin(self, line):
        """A new step is about to run."""
        self.count += 1
        if self.count % CHUNK == 0:
            self.flush()
        HEADER.pack_into(self.memory, 0, self.used, line, self.count, 0)

    def flush(self):
        data = json.dumps(self.tokens, separators=(",", ":")).encode("utf-8", "backslashreplace")
        self.tokens.clear()
        if self.used + 4 + len(data) > len(self.memory):
            return
        struct.pack_into("<I", self.memory, self.used, len(data))
        self.memory[self.used + 4:self.used + 4 + len(data)] = data
        self.used += 4 + len(data)
        struct.pack_into("<I", self.memory, 0, self.used)

    def end(self, reason):
        self.flush()
        struct.pack_into("<I", self.memory, 12, reason)


class Frame:
    """One call that is going on."""

    __slots__ = ("number", "function", "base", "known", "line", "address", "registers", "waiting", "seen", "passes")

    def __init__(self, number, function, base):
        self.number, self.function, self.base = number, function, base
        self.known = {}
        self.line = 0
        self.address = 0
        self.registers = None
        self.waiting = False
        self.seen = 0
        self.passes = set()  # the beginnings of passes that its line has come to


class Recorder:
    def __init__(self, path, limit, trash, habits, assigned, files):
        self.path, self.files, self.habits, self.assigned = path, files, habits, assigned
        self.recording = Recording(limit)
        self.types = Types(self, trash, habits)
        self.program = read_program(path, files, self.types)
        self.texts = []
        for name in files:
            with open(name, "rb") as source:
                self.texts.append(source.read().decode("utf-8", "replace").splitlines())
        self.passes = pass_places(path, self.program, self.file_line, habits["oneLineLoop"])
        self.functions = {}
        for function in self.program.functions:
            self.functions[function.low] = function
            if function.results:
                self.keep_one_result(function)
        self.stack = []
        self.frames = 0
        self.columns = {}
        self.globals = {}
        self.objects = {}
        self.ids = {}
        self.next_id = 1
        self.names = ()
        self.given = ()  # addresses of what a parameter that stands for it was given
        self.last = None  # the frame whose step is not closed yet
        self.memory = None
        self.output = None  # where the library keeps what is printed but not handed on, once the program runs
        self.held = ""
        self.step_change = StepChange(habits["change"]) if habits.get("change") else None
        self.calling = {}  # (file number, line): whether it calls anything
        self.registers = control.Registers()

    def keep_one_result(self, function):
        """Of the two names of a result the one stays that the program uses."""
        lines = {place for address, place in self.program.rows.items() if function.low <= address < function.high}
        used = any("result" in self.assigned.get("%d:%d" % place, ()) for place in lines)
        gone = next(variable for variable in function.results if (variable.name == "RESULT") != used)
        function.variables.remove(gone)
        for variable in function.results:
            variable.name = "Result" if variable.name == "RESULT" else variable.name

    # What native_types asks.
    def read(self, address, size):
        return self.memory.read(address, size)

    def evaluate(self, operations, subject):
        return control.evaluate(operations, self.memory, subject=subject)

    def name_of(self, address):
        """The variable or element that lies at an address, or None."""
        for frame in reversed(self.stack):
            for variable in frame.function.variables:
                found = self.name_in(variable, self.place(variable, frame), address)
                if found:
                    return found
        for variable in self.program.globals:
            found = self.name_in(variable, self.place(variable, None), address)
            if found:
                return found
        return None

    def name_in(self, variable, start, address):
        kind = variable.kind.plain() if variable.kind is not None else None
        if start is None or kind is None or not start <= address < start + max(1, kind.size):
            return None
        if address == start:
            return variable.name
        if kind.tag == "array_type" and kind.target is not None and kind.target.size:
            low = kind.bounds[0][0] if kind.bounds else 0
            return "%s[%d]" % (variable.name, low + (address - start) // kind.target.size)
        for name, offset, _, _, _ in kind.members:
            if start + offset == address:
                return variable.name + "." + name
        return None

    def place(self, variable, frame):
        if frame is None:
            return control.evaluate(variable.location, self.memory)
        return control.evaluate(variable.location, self.memory, frame.registers, frame.base)

    def file_line(self, file, line):
        text = self.texts[file]
        return text[line - 1] if 0 < line <= len(text) else ""

    # Writing values.
    def column(self, scope, name):
        key = (scope, name)
        if key not in self.columns:
            self.columns[key] = len(self.columns) + 1
            self.recording.tokens.append(["d", self.columns[key], scope, name])
        return -self.columns[key]

    def token(self, value):
        """A value as a token; what it holds is told the first time it is met."""
        if not isinstance(value, Aggregate):
            return value
        kind = "list" if value.shape == "l" else value.type
        number = self.ids.get(value.key)
        if number is not None and self.objects.get(number) == value:
            return [kind, None, number]
        if number is None:
            number = self.ids[value.key] = self.next_id
            self.next_id += 1
        self.objects[number] = value
        items = [self.token(item) if key is None else [key, self.token(item)] for key, item in value.items]
        return [kind, None, number, items, value.shape] + ([value.length] if value.length else [])

    def change(self, old, new):
        """Writes for what differs between two states of one aggregate."""
        number = self.ids.get(new.key)
        if number is None or len(old.items) != len(new.items) or old.key != new.key:
            return False
        for index, ((key, before), (_, after)) in enumerate(zip(old.items, new.items)):
            if before == after:
                continue
            if isinstance(before, Aggregate) and isinstance(after, Aggregate) and before.key == after.key and self.change(before, after):
                continue
            self.recording.tokens.append(["o", number, [index if key is None else key], self.token(after)])
        self.objects[number] = new
        return True

    def compare(self, known, variable, scope, frame):
        """Looks at one variable and writes what changed since it was last looked at."""
        kind = variable.kind
        if kind is None:
            return
        plain = kind.plain()
        address = self.place(variable, frame)
        if plain is None or address is None:
            return
        raw = self.memory.read(address, plain.size) if plain.size else b""
        if raw is None:
            return
        before = known.get(variable)
        names = self.names
        if before is not None and before[0] == raw and before[2] == address and not plain.indirect and (before[3] or variable.name.lower() not in names and address not in self.given):
            return
        self.types.open_high = None
        if variable.last_index is not None:
            at = control.evaluate(variable.last_index, self.memory, frame.registers, frame.base)
            data = self.memory.read(at, 8) if at is not None else None
            self.types.open_high = int.from_bytes(data, "little", signed=True) if data is not None else None
        value = kind.read(address, raw)
        given = variable.name.lower() in names or address in self.given
        if before is None and scope == 0 and self.habits["globalsBeginUnset"] and not given:
            # A global holds 0 from the start; it has a value of its own from the first line that gives it one.
            known[variable] = (raw, value, address, False)
            return
        told = before is None or before[3] or not given
        if before is not None and before[1] == value and told:
            if isinstance(value, Aggregate) and value.length and before[0] != raw and plain.target is not None:
                self.tell_behind(plain, before[0], raw, address, value)
            known[variable] = (raw, value, address, before[3])
            return
        known[variable] = (raw, value, address, True)
        if before is not None and before[3] and isinstance(value, Aggregate) and isinstance(before[1], Aggregate) and before[1].key == value.key and self.change(before[1], value):
            return
        self.recording.tokens.append(self.column(scope, variable.name))
        self.recording.tokens.append(self.token(value))

    def tell_behind(self, kind, before, raw, address, value):
        """What changed behind the written part of a long array: the last few places."""
        size = kind.target.size
        number = self.ids.get(value.key)
        if number is None or not size or len(before) != len(raw):
            return
        changed = [at for at in range(len(value.items), len(raw) // size) if before[at * size:(at + 1) * size] != raw[at * size:(at + 1) * size]]
        for at in changed[-MOST_BEHIND:]:
            self.recording.tokens.append(["o", number, [at], self.token(kind.target.read(address + at * size, raw[at * size:(at + 1) * size], 1))])

    def given_by(self, frame):
        """Addresses of variables that the line gives a value by a parameter that stands for them."""
        if not self.habits["globalsBeginUnset"]:
            return ()
        return [self.place(variable, frame) for variable in frame.function.variables if variable.parameter and variable.name.lower() in self.names]

    def compare_globals(self):
        for variable in self.program.globals:
            self.compare(self.globals, variable, 0, None)

    def compare_frame(self, frame, entering=False, calling=False):
        address = frame.address
        scope = 0 if frame.function.is_main else 1
        for variable in frame.function.variables:
            if entering and (not variable.parameter or frame.function.makes and variable.name == "Self") or calling and variable not in frame.known:
                continue
            if variable.high and not variable.low <= address < variable.high:
                continue
            if not variable.parameter and variable not in frame.known and frame.line < variable.line:
                continue  # its declaration has not run yet
            self.compare(frame.known, variable, scope, frame)

    def close(self, result=None, calling=False):
        """The step that began last has run, or is in the middle of a call: its values are read now."""
        frame = self.last
        if frame is None:
            return
        self.names = self.assigned.get("%d:%d" % (frame.function.file, frame.line), ())
        if frame.registers is not None:
            self.compare_frame(frame, calling=calling)
            self.given = self.given_by(frame)
        if calling:
            # What the line gives a value comes from the call: it has it when the line goes on.
            self.names = self.given = ()
        self.compare_globals()
        self.given = ()
        if result is not None:
            self.recording.tokens.append(["v", result])
        if self.output is not None and self.may_print(frame):
            held = held_back(self.memory, self.output)
            if held != self.held:
                self.held = held
                self.recording.tokens.append(["p", held])
        self.last = None

    def may_print(self, frame):
        """Whether the line that ran calls anything."""
        place = (frame.function.file, frame.line)
        known = self.calling.get(place)
        if known is None:
            # A statement may go on over the next lines.
            text = " ".join(self.file_line(place[0], place[1] + more) for more in range(4))
            known = self.calling[place] = CALLS.search(text) is not None
        return known

    def step(self, frame, file, line):
        self.recording.begin(line)
        self.recording.tokens.append(line)
        frame.line = line
        frame.passes = set()
        self.last = frame
        if self.step_change is not None and self.recording.count - 1 == self.step_change.step:
            if self.step_change.tells_files():
                self.recording.tokens.append(["n", files_here(os.path.basename(self.path))])
            problem = self.step_change.apply(self, frame)
            if problem is not None:
                self.recording.tokens.append(["w", problem])

    def at_pass(self, address, registers):
        """Another pass of a loop begins that is written on one line; the first one belongs to the line's own step."""
        frame = self.stack[-1] if self.stack else None
        file, line = self.passes[address]
        if frame is None or frame.base != registers[control.RBP] + 16 or frame.line != line:
            return
        if frame.waiting:
            self.at_return(registers)
        if address in frame.passes:
            frame.registers = registers
            self.close()
            self.step(frame, file, line)
        frame.passes.add(address)
        frame.address = address

    def result_of(self, frame, registers, thread):
        kind = frame.function.result.plain() if frame.function.result is not None else None
        if kind is None or not self.habits["resultInRegister"]:
            return None
        if kind.tag == "base_type" and kind.encoding == 4:
            return [kind.title(), kind.base(control.floating_result(thread)[:kind.size])] if kind.size in (4, 8) else None
        if kind.tag in ("base_type", "enumeration_type", "pointer_type") and 0 < kind.size <= 8:
            return self.token(kind.value(0, registers[control.RAX].to_bytes(8, "little")[:kind.size], 0, kind.title()))
        return None

    def at_line(self, address, registers, thread):
        """The program is about to run the instruction at `address`, where a line begins."""
        file, line = self.program.rows[address]
        entered = self.functions.get(address)
        tokens = self.recording.tokens
        if entered is not None:
            if self.frames == 0:
                self.output = place_of_output(thread)
            base = registers[control.RSP] + 8
            self.drop(base + 1)
            caller = self.last
            if caller is not None:
                # What the calling line did before the call is its own; the rest comes when it goes on.
                self.close(calling=True)
                caller.waiting = True
            self.frames += 1
            frame = Frame(self.frames, entered, base)
            self.stack.append(frame)
            self.watch_return(registers)
            frame.address = address
            frame.line = self.header_line(entered, file, line)
            where = [frame.number, file, len(self.stack) - 1]
            if entered.is_main:
                tokens.append(["f"] + where)
                frame.registers = registers
                frame.seen = 2
                frame.line = 0
                if not ONLY_END.match(self.file_line(file, line)):
                    self.step(frame, file, line)
                return
            self.recording.begin(frame.line)
            tokens.append(["c"] + where + [frame.line, entered.name])
            frame.seen = 1
            self.last = None
            return
        frame = self.stack[-1] if self.stack else None
        base = registers[control.RBP] + 16
        if frame is None or frame.base != base:
            self.drop(base)
            frame = self.stack[-1] if self.stack else None
            if frame is None:
                return
        frame.registers = registers
        if frame.seen == 1:
            self.names = ()
            self.trash_locals(frame)
            # The parameters are in place now: they are what the header line gave.
            frame.address = address
            self.compare_frame(frame, entering=True)
            self.compare_globals()
            frame.seen = 2
            self.last = None
            frame.line = 0
        if frame.waiting:
            frame.waiting = False
            tokens.append(["r", frame.number, file, self.stack.index(frame), frame.line])
            self.recording.begin(frame.line)
            self.last = frame
        at_end = address == frame.function.last
        going_on = line == frame.line and address > frame.address and self.last is frame
        if going_on:
            frame.address = address
            if at_end:
                self.close(self.result_of(frame, registers, thread))
            return
        if self.last is frame:
            self.close(self.result_of(frame, registers, thread) if at_end else None)
        elif self.last is not None:
            self.last = None
        frame.address = address
        if ONLY_END.match(self.file_line(file, line)):
            frame.line = 0
            return
        self.step(frame, file, line)

    def watch_return(self, registers):
        """The place that the call returns to is a stop as well, if it is the program's own: the line that called may print before its next line."""
        data = self.memory.read(registers[control.RSP], 8)
        address = int.from_bytes(data, "little") if data is not None else 0
        if address in self.saved or not any(function.low <= address < function.high for function in self.program.functions):
            return
        self.saved[address] = self.memory.read(address, 1)
        self.memory.write(address, b"\xcc")

    def at_return(self, registers):
        """A call is over and the line that made it goes on."""
        base = registers[control.RBP] + 16
        if not self.stack or self.stack[-1].base > base:
            return
        self.drop(base)
        frame = self.stack[-1] if self.stack else None
        if frame is None or frame.base != base or not frame.waiting:
            return
        frame.waiting = False
        frame.registers = registers
        self.recording.begin(frame.line)
        self.recording.tokens.append(["r", frame.number, frame.function.file, len(self.stack) - 1, frame.line])
        self.last = frame

    def trash_locals(self, frame):
        """Gives locals that hold nothing yet a known content, so that it can be seen when they get a value. What the language's own library
        looks after (dynamic texts and arrays) is left alone."""
        for variable in frame.function.variables:
            kind = variable.kind.plain() if variable.kind is not None else None
            if variable.parameter or kind is None or not 0 < kind.size <= 1 << 16 or len(variable.location) != 1:
                continue
            if variable.location[0][0] not in ("DW_OP_fbreg", "DW_OP_breg6", "DW_OP_breg7") or self.habits["libraryOwnsIndirect"] and kind.managed:
                continue
            self.memory.write(self.place(variable, frame), self.types.trash * kind.size)

    def header_line(self, function, file, line):
        """The line with the function's name; some compilers tell only where its statements begin."""
        if self.habits["header"] is None:
            return function.declared or line
        pattern = re.compile(self.habits["header"].replace("NAME", re.escape(function.name)), re.I)
        for above in range(line, 0, -1):
            if pattern.match(self.file_line(file, above)):
                return above
        return line

    def drop(self, base):
        """Calls whose frames lie below `base` are over."""
        dropped = False
        while self.stack and self.stack[-1].base < base:
            gone = self.stack.pop()
            dropped = True
            if self.last is gone:
                self.compare_globals()
                self.last = None
            for known in gone.known.values():
                self.forget(known[1], gone.base)
        if dropped and self.stack:
            top = self.stack[-1]
            self.recording.tokens.append(["f", top.number, top.function.file, len(self.stack) - 1])

    def forget(self, value, base):
        """Objects that lay in a frame that is gone; the same place may hold another one later."""
        if isinstance(value, Aggregate):
            if isinstance(value.key[0], int) and base - (1 << 23) < value.key[0] < base:
                self.ids.pop(value.key, None)
            for _, item in value.items:
                self.forget(item, base)

    def fault(self, number):
        """The program is being stopped by a signal in the line that is running."""
        frame = self.last
        if frame is not None:
            self.close()
        if self.recording.count:
            self.recording.tokens.append(["x", SIGNALS.get(number, "signal %d" % number), WORDS.get(number, "")])

    def go(self):
        pid = control.launch([self.path])
        self.memory = control_memory = control.Memory(pid)
        saved = self.saved = {address: control_memory.read(address, 1) for address in [*self.program.rows, *self.passes]}
        for address in saved:
            control_memory.write(address, b"\xcc")
        thread = pid
        status = None
        deliver = 0
        threads = {pid}
        request = control.CONT
        while True:
            control.libc.ptrace(request, thread, None, deliver)
            request, deliver = control.CONT, 0
            thread, status = os.waitpid(-1, 0x40000000)
            if os.WIFEXITED(status) or os.WIFSIGNALED(status):
                threads.discard(thread)
                if thread == pid:
                    break
                continue
            number = os.WSTOPSIG(status)
            event = status >> 16
            if event in (1, 2):
                self.release_child(thread, saved)
                continue
            if event == 3:
                threads.add(thread)
                continue
            if number == signal.SIGSTOP and thread not in threads:
                threads.add(thread)
                continue
            if number != signal.SIGTRAP:
                if thread == pid and number in SIGNALS:
                    self.fault(number)
                deliver = number
                continue
            registers = self.registers.get(thread)
            address = registers[control.RIP] - 1
            if address not in saved:
                continue
            if thread == pid:
                if address in self.program.rows:
                    self.at_line(address, registers, thread)
                elif address in self.passes:
                    self.at_pass(address, registers)
                else:
                    self.at_return(registers)
                if self.recording.count > self.recording.limit:
                    self.recording.end(1)
                    os.kill(pid, signal.SIGKILL)
                    os._exit(0)
            # The instruction itself runs with the stop out of the way.
            self.registers.get(thread)
            self.registers.set_instruction(thread, address)
            control_memory.write(address, saved[address])
            control.libc.ptrace(control.SINGLESTEP, thread, None, 0)
            _, status = os.waitpid(thread, 0x40000000)
            if os.WIFEXITED(status) or os.WIFSIGNALED(status):
                break
            control_memory.write(address, b"\xcc")
            if os.WSTOPSIG(status) != signal.SIGTRAP:
                if thread == pid and os.WSTOPSIG(status) in SIGNALS:
                    self.fault(os.WSTOPSIG(status))
                deliver = os.WSTOPSIG(status)
        if self.last is not None:
            self.last = None
        stops = self.habits["stops"]
        if stops is not None and os.WIFEXITED(status) and stops["from"] <= os.WEXITSTATUS(status) <= stops["to"] and self.recording.count:
            self.recording.tokens.append(["x", stops["words"] % os.WEXITSTATUS(status), ""])
        self.recording.end(0)
        if os.WIFSIGNALED(status):
            signal.signal(os.WTERMSIG(status), signal.SIG_DFL) if os.WTERMSIG(status) not in (9, 19) else None
            os.kill(os.getpid(), os.WTERMSIG(status))
        os._exit(os.WEXITSTATUS(status))

    def release_child(self, thread, saved):
        """A process that the program forked runs on its own, without stops."""
        import ctypes
        number = ctypes.c_ulong()
        control.libc.ptrace(control.GETEVENTMSG, thread, None, ctypes.addressof(number))
        child = number.value
        try:
            os.waitpid(child, 0x40000000)
            memory = control.Memory(child)
            for address, data in saved.items():
                memory.write(address, data)
            os.close(memory.file)
            control.libc.ptrace(control.DETACH, child, None, 0)
        except OSError:
            pass


def main(arguments):
    """Usage: PROGRAM STEPS TRASH HABITS NAMES FILE..., habits and names as JSON."""
    Recorder(arguments[0], int(arguments[1]), int(arguments[2]).to_bytes(1, "little"), json.loads(arguments[3]), json.loads(arguments[4]), arguments[5:]).go()
