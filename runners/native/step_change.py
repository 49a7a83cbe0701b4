"""What is changed in a recorded run of a compiled program before one of its lines runs: a value put into memory, files altered or taken away."""
import re
import struct

from bent_nail_sandbox.case_files import change_files, read_words

PLACE = re.compile(r"\s*([A-Za-z_]\w*)((?:\s*(?:\[\s*-?\d+\s*\]|\.\s*\w+|->\s*\w+|\^))*)\s*$")
PART = re.compile(r"\[\s*(-?\d+)\s*\]|(?:\.|->)\s*(\w+)|(\^)")
ESCAPES = {"n": "\n", "t": "\t", "r": "\r", "0": "\0"}


class NotChanged(Exception):
    """Why something was not changed, in words."""


class StepChange:
    """Words as changeWords.ts gives them: step, line, name, value, then a name and "=text" or "" for each file."""

    def __init__(self, words):
        self.step, self.name, self.value, self.files = read_words(words)

    def apply(self, recorder, frame):
        """Changes it. Gives words where that could not be done, else None."""
        problem = change_files(self.files)
        if problem is not None or not self.name:
            return problem
        try:
            address, kind = self.place(recorder, frame)
            self.write(recorder, address, kind)
        except NotChanged as problem:
            return str(problem)
        return None

    def tells_files(self):
        """Nothing is to be changed: the files are asked for."""
        return not self.name and not self.files

    def place(self, recorder, frame):
        """The address and type of what is named."""
        read = PLACE.match(self.name)
        if not read:
            raise NotChanged("“%s” names no variable, element or field." % self.name)
        variable, owner = self.variable(recorder, frame, read.group(1))
        address, kind = recorder.place(variable, owner), variable.kind and variable.kind.plain()
        for index, field, _ in PART.findall(read.group(2)):
            if kind is not None and kind.tag in ("pointer_type", "reference_type") and address is not None:
                data = recorder.memory.read(address, 8)
                address, kind = int.from_bytes(data or b"", "little") or None, kind.target and kind.target.plain()
            if kind is None or address is None:
                raise NotChanged("%s leads nowhere here." % self.name)
            if index:
                address, kind = element(recorder, address, kind, int(index), self.name)
            elif field:
                address, kind = member(address, kind, field, self.name)
        if kind is None or address is None:
            raise NotChanged("%s has no place in memory here." % self.name)
        return address, kind

    def variable(self, recorder, frame, name):
        seen = [each for each in frame.function.variables if not each.high or each.low <= frame.address < each.high]
        for same in (lambda each: each.name == name, lambda each: recorder.habits["quote"] == "'" and each.name.lower() == name.lower()):
            for each in reversed(seen):
                if same(each):
                    return each, frame
            for each in recorder.program.globals:
                if same(each):
                    return each, None
        raise NotChanged("There is no variable %s here." % name)

    def write(self, recorder, address, kind):
        if kind.tag == "array_type":
            data, address = text_bytes(recorder, address, kind, self.value)
        else:
            data = plain_bytes(kind, self.value)
        recorder.memory.write(address, data)


def element(recorder, address, kind, index, name):
    if kind.tag != "array_type" or kind.target is None or not kind.target.size:
        raise NotChanged("%s: this has no elements." % name)
    low, high = kind.bounds[0] if kind.bounds else (0, None)
    start = recorder.evaluate(kind.data_location, address) if kind.data_location is not None else address
    if isinstance(high, list):
        high = recorder.evaluate(high, address)
    if not start or index < low or isinstance(high, int) and index > high:
        raise NotChanged("%s: there is no element %d." % (name, index))
    stride = kind.strides[0] if kind.strides and kind.strides[0] else kind.target.size
    return start + (index - low) * stride, kind.target.plain()


def member(address, kind, field, name):
    for own, offset, of, bits, _ in kind.members:
        if own.lower() == field.lower() and not bits:
            return address + offset, of and of.plain()
    raise NotChanged("%s: there is no field %s." % (name, field))


def text_of(value):
    """What a text stands for that is written in quotes."""
    if len(value) < 2 or value[0] not in "'\"" or value[-1] != value[0]:
        raise NotChanged("%s is no text in quotes." % value)
    inner = value[1:-1].replace("''", "'") if value[0] == "'" and len(value) > 3 else value[1:-1]
    return re.sub(r"\\(.)", lambda each: ESCAPES.get(each.group(1), each.group(1)), inner).encode("utf-8")


def text_bytes(recorder, address, kind, value):
    """The bytes of a text for a place that holds characters, and where they go."""
    plain = kind.target.plain() if kind.target is not None else None
    if plain is None or plain.size != 1 or "char" not in plain.name.lower():
        raise NotChanged("A whole array cannot be put in; name one of its elements.")
    data = text_of(value)
    if recorder.habits["textsEndByZero"]:
        if len(data) + 1 > kind.size:
            raise NotChanged("%s does not fit: there is room for %d characters." % (value, kind.size - 1))
        return data + b"\0" * (kind.size - len(data)), address
    start = recorder.evaluate(kind.data_location, address) if kind.data_location is not None else None
    now = recorder.memory.read(start - 1, 1) if start and not kind.managed else None
    if now is None or len(data) > now[0]:
        raise NotChanged("A text cannot be put in here that is longer than the one that stands there.")
    return bytes([len(data)]) + data, start - 1


def plain_bytes(kind, value):
    """The bytes of a value as the program writes it."""
    while kind.tag == "subrange_type" and kind.target is not None:
        kind = kind.target.plain()
    try:
        if kind.tag in ("pointer_type", "reference_type"):
            if value.lower() in ("null", "nil", "0"):
                return bytes(8)
            raise NotChanged("Of a pointer only that it points nowhere can be put in.")
        if kind.tag == "enumeration_type":
            named = [number for number, name in kind.names.items() if name.lower() == value.lower()]
            return (named[0] if named else int(value, 0)).to_bytes(kind.size, "little", signed=True)
        if kind.tag != "base_type":
            raise NotChanged("A value of type %s cannot be put in." % kind.title())
        if kind.encoding == 4:
            if kind.size not in (4, 8):
                raise NotChanged("A value of type %s cannot be put in." % kind.title())
            return struct.pack("<f" if kind.size == 4 else "<d", float(value.rstrip("fFlL")))
        if kind.encoding == 2:
            if value.lower() not in ("true", "false", "0", "1"):
                raise ValueError
            return int(value.lower() in ("true", "1")).to_bytes(kind.size, "little")
        if value[:1] == "'":
            value = str(text_of(value)[0])
        signed = kind.encoding in (5, 6, 13)
        return int(re.sub(r"[uUlL]+$", "", value), 0).to_bytes(kind.size, "little", signed=signed)
    except (ValueError, IndexError):
        raise NotChanged("%s is no value of type %s." % (value, kind.title())) from None
    except OverflowError:
        raise NotChanged("%s does not fit into %s." % (value, kind.title())) from None
