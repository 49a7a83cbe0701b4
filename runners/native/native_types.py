"""Types of a compiled program and how their values are written, as a person would write them. Nothing of the program is called.

A value is a JSON token (see recorder.py of Python's runner): [type, text], or an Aggregate, which becomes [type, null, id, items, shape].
"""
import struct

from debug_information import number_of, text_of
from dwarf import operations

MOST_ITEMS = 200
MOST_TEXT = 200
MOST_DEPTH = 6
UNSET = ("not set yet",)
INTEGERS = {(1, True): "<b", (2, True): "<h", (4, True): "<i", (8, True): "<q", (1, False): "<B", (2, False): "<H", (4, False): "<I", (8, False): "<Q"}


class Aggregate:
    """A value that holds others: `key` tells one from another, `items` are (key or None, value)."""

    __slots__ = ("type", "key", "shape", "items", "length")

    def __init__(self, type_name, key, shape, items, length=None):
        self.type, self.key, self.shape, self.items, self.length = type_name, key, shape, items, length

    def __eq__(self, other):
        return isinstance(other, Aggregate) and (self.key, self.items, self.length) == (other.key, other.items, other.length)


def quoted(data, quote):
    text = data.decode("utf-8", "replace")
    cut = text[:MOST_TEXT]
    shown = "".join({"\n": "\\n", "\t": "\\t", "\r": "\\r", "\0": "\\0", "\\": "\\\\", quote: "\\" + quote if quote == '"' else quote * 2}.get(each, each) for each in cut)
    return quote + shown + quote + ("…" if len(text) > MOST_TEXT else "")


class Types:
    """Types by their entries. `machine` gives memory: read(address, size) -> bytes or None; name_of(address) -> text or None. `trash` is the byte
    that stands in memory that was not set (b"": not known), `habits` how the language goes about values (Habits in server/toolchains/native.ts)."""

    def __init__(self, machine, trash, habits):
        self.machine, self.trash, self.habits = machine, trash, habits
        self.known = {}
        self.own_files = {}
        self.open_high = None  # the last position of the open array that is being read
        self.quote = habits["quote"]

    def prepare(self, own_files):
        self.own_files = own_files

    def expression(self, value):
        return operations(value)

    def of(self, die):
        """The type that an entry names, or None."""
        if "type" not in die.attributes:
            return None
        return self.make(die.named("type"))

    def make(self, die):
        if die.offset not in self.known:
            self.known[die.offset] = None  # a type that holds itself by a pointer finds this until it is made
            kind = Type(self, die)
            self.known[die.offset] = kind
            kind.fill(die)
        return self.known[die.offset]

    def unset(self, data):
        return len(self.trash) > 0 and len(data) > 0 and data.count(self.trash) == len(data)


class Type:
    def __init__(self, types, die):
        self.types = types
        self.tag = die.tag
        self.name = text_of(die, "name")
        self.size = number_of(die, "byte_size")
        self.encoding = number_of(die, "encoding")
        self.target = None
        self.members = []
        self.names = {}
        self.bounds = []
        self.data_location = None
        self.own = True
        self.managed = False  # the language's own library looks after it: a text or an array that grows
        self.strides = []  # bytes from one element to the next, by dimension; 0: not told
        self.indirect = False  # what it shows can change without its own bytes changing

    def fill(self, die):
        types = self.types
        tag = self.tag
        if tag in ("typedef", "const_type", "volatile_type", "restrict_type", "pointer_type", "reference_type", "array_type", "set_type", "subrange_type"):
            self.target = die
            self.target = types.of(die)
        if tag in ("typedef", "const_type", "volatile_type", "restrict_type"):
            self.size = self.target.size if self.target else 0
            self.managed = self.target.managed if self.target else False
        elif tag == "subrange_type":
            self.size = self.size or (self.target.size if self.target else 0)
        elif tag in ("pointer_type", "reference_type"):
            self.size = 8
            self.indirect = True
        elif tag == "enumeration_type":
            self.names = {number_of(child, "const_value"): text_of(child, "name") for child in die.children}
        elif tag in ("structure_type", "union_type", "class_type"):
            declared = number_of(die, "decl_file", -1)
            self.own = declared < 0 or types.own_files.get(declared) is not None
            for child in die.children:
                if child.tag == "member" and text_of(child, "name"):
                    self.members.append((text_of(child, "name"), self.offset(child), types.of(child), number_of(child, "bit_size"), number_of(child, "data_bit_offset", -1)))
            self.indirect = any(kind is None or kind.indirect for _, _, kind, _, _ in self.members)
            self.managed = any(kind is None or kind.managed for _, _, kind, _, _ in self.members)
        elif tag == "array_type":
            location = die.attributes.get("data_location")
            if location is not None:
                self.data_location = types.expression(location.value)
                self.indirect = True
                self.managed = any(name == "DW_OP_deref" for name, _ in self.data_location)
                # A short text lies where it is, with its length before it; two bytes of it there are for sure.
                self.size = self.size or (8 if self.managed else 2)
            for child in die.children:
                if child.tag != "subrange_type":
                    continue
                upper = child.attributes.get("upper_bound")
                count = child.attributes.get("count")
                low = number_of(child, "lower_bound")
                self.strides.append(number_of(child, "byte_stride"))
                if upper is not None and isinstance(upper.value, list):
                    self.bounds.append((low, types.expression(upper.value)))
                elif upper is not None and isinstance(upper.value, int):
                    self.bounds.append((low, upper.value))
                elif count is not None and isinstance(count.value, int):
                    self.bounds.append((low, low + count.value - 1))
                else:
                    self.bounds.append((low, None))
            if self.data_location is None and self.target is not None:
                size = self.target.size
                for low, high in self.bounds:
                    size *= max(0, high - low + 1) if isinstance(high, int) else 0
                if self.strides and self.strides[0] and len(self.bounds) == 1 and isinstance(self.bounds[0][1], int):
                    size = self.strides[0] * max(0, self.bounds[0][1] - self.bounds[0][0] + 1)
                self.size = self.size or size
                # Of an open array only the place is told; what it holds is looked at each time.
                self.indirect = self.target.indirect or self.size == 0
                self.managed = self.target.managed

    def offset(self, member):
        location = member.attributes.get("data_member_location")
        if location is None:
            return 0
        if isinstance(location.value, int):
            return location.value
        return self.types.expression(location.value)[0][1][0]

    def plain(self):
        """The type itself, past names given to it and marks such as const."""
        kind = self
        while kind is not None and kind.tag in ("typedef", "const_type", "volatile_type", "restrict_type"):
            kind = kind.target
        return kind

    def title(self):
        kind = self
        while kind is not None and not kind.name and kind.target is not None:
            kind = kind.target
        return kind.name if kind is not None else "void"

    def read(self, address, data=None, depth=0):
        """The value at an address; `data` are its bytes if they were read already."""
        kind = self.plain()
        if kind is None:
            return ["void", "?"]
        if data is None:
            data = self.types.machine.read(address, kind.size) if kind.size else b""
            if data is None:
                return [self.title(), "(not readable)"]
        return kind.value(address, data, depth, self.title())

    def value(self, address, data, depth, title):
        types = self.types
        tag = self.tag
        if tag == "array_type":
            return self.array(address, data, depth, title)
        if tag in ("structure_type", "union_type", "class_type"):
            if not self.own or depth > MOST_DEPTH:
                return [title, "(" + title + ")"]
            items = []
            for name, offset, kind, bits, bit_offset in self.members[:MOST_ITEMS]:
                if kind is None:
                    continue
                if bits:
                    whole = int.from_bytes(data, "little") >> (bit_offset if bit_offset >= 0 else offset * 8)
                    items.append((name, [kind.title(), str(whole & ((1 << bits) - 1))]))
                else:
                    items.append((name, kind.read(address + offset, data[offset:offset + kind.size] if kind.size else b"", depth + 1)))
            return Aggregate(title, (address, title), "o", items)
        if types.unset(data):
            return [title, "not set yet"]
        if tag in ("pointer_type", "reference_type"):
            return self.pointer(int.from_bytes(data, "little"), depth)
        if tag == "base_type":
            return [title, self.base(data)]
        if tag == "subrange_type":
            return self.target.read(address, data, depth) if self.target is not None else [title, str(int.from_bytes(data, "little"))]
        if tag == "enumeration_type":
            number = int.from_bytes(data, "little", signed=True)
            return [title, self.names.get(number, str(number))]
        if tag == "set_type":
            return [title, self.set_text(data)]
        return [title, "?"]

    def base(self, data):
        if self.encoding == 4:
            if len(data) == 4:
                return shortest(struct.unpack("<f", data)[0], 7)
            if len(data) == 8:
                return shortest(struct.unpack("<d", data)[0], 15)
            return shortest(extended(data), 18)
        if self.encoding == 2:
            return "true" if any(data) else "false"
        if len(data) == 1 and "char" in self.name.lower() and (self.encoding == 6 or self.encoding == 8 and self.name != "unsigned char"):
            return quoted(data if data[0] < 128 else bytes("\ufffd", "utf-8"), "'")
        form = INTEGERS.get((len(data), self.encoding in (5, 6, 13)))
        return str(struct.unpack(form, data)[0]) if form else str(int.from_bytes(data, "little"))

    def set_text(self, data):
        bits = int.from_bytes(data, "little")
        element = self.target.plain() if self.target else None
        while element is not None and element.tag == "subrange_type" and element.target is not None:
            element = element.target.plain()
        names = element.names if element is not None else {}
        if element is not None and element.tag == "base_type" and "char" in element.name.lower():
            names = {bit: quoted(bytes([bit]) if bit < 128 else "\ufffd".encode(), self.types.quote) for bit in range(256)}
        return "[" + ", ".join(names.get(bit, str(bit)) for bit in range(len(data) * 8) if bits >> bit & 1) + "]"

    def pointer(self, address, depth):
        types = self.types
        target = self.target
        title = (target.title() if target is not None else "void") + "*"
        if address == 0:
            return [title, types.habits["nothing"]]
        plain = target.plain() if target is not None else None
        if plain is not None and plain.tag == "base_type" and plain.encoding in (6, 8) and plain.size == 1 and types.habits["textsEndByZero"]:
            return [title, self.text_at(address)]
        if plain is not None and plain.tag in ("structure_type", "class_type") and plain.own and depth <= MOST_DEPTH:
            data = types.machine.read(address, plain.size)
            if data is not None:
                return plain.value(address, data, depth + 1, target.title())
            return [title, "(points nowhere)"]
        name = types.machine.name_of(address)
        if name is not None:
            return [title, "→ " + name]
        if plain is not None and plain.tag == "base_type":
            data = types.machine.read(address, plain.size)
            if data is not None:
                return [title, "→ " + ("not set yet" if types.unset(data) else plain.base(data))]
            return [title, "(points nowhere)"]
        if plain is not None and plain.tag in ("structure_type", "union_type"):
            return [title, "(" + target.title() + ")"]
        return [title, "(an address)"]

    def text_at(self, address):
        data = b""
        while len(data) <= MOST_TEXT:
            size = min(64, 4096 - (address + len(data)) % 4096)
            more = self.types.machine.read(address + len(data), size)
            if more is None:
                return "(points nowhere)" if not data else quoted(data, '"')
            end = more.find(b"\0")
            if end >= 0:
                return quoted(data + more[:end], '"')
            data += more
        return quoted(data, '"')

    def array(self, address, data, depth, title):
        types = self.types
        element = self.target
        if element is None:
            return [title, "?"]
        start = address
        low, high = self.bounds[0] if self.bounds else (0, None)
        if self.data_location is not None:
            start = types.machine.evaluate(self.data_location, address)
            if start in (0, None) or types.unset((start or 0).to_bytes(8, "little")):
                start = None
        if self.data_location is not None and types.unset(data):
            return [title or "text", "not set yet"]
        if isinstance(high, list):
            high = types.machine.evaluate(high, address) if start is not None else low - 1
        if high is None:
            high = types.open_high if types.open_high is not None else low - 1
        count = max(0, min(high - low + 1, 1 << 20))
        plain = element.plain()
        if plain is not None and plain.tag == "base_type" and plain.size == 1 and plain.encoding in (6, 8) and "char" in plain.name.lower() and len(self.bounds) == 1:
            whole = (types.machine.read(start, min(count, MOST_TEXT + 1)) or b"") if start is not None and count else b""
            if whole and types.unset(whole):
                return [title or "text", "not set yet"]
            if types.habits["textsEndByZero"]:
                whole = whole.split(b"\0")[0]
            if types.trash:
                whole = whole.replace(types.trash, b"?")
            return [title or "text", quoted(whole, types.quote)]
        return self.rows(start, element, 0, depth, title or element.title(), high)

    def rows(self, start, element, dimension, depth, title, high):
        low = self.bounds[dimension][0] if self.bounds else 0
        count = 0 if start is None or not isinstance(high, int) else max(0, min(high - low + 1, 1 << 20))
        stride = self.strides[dimension] if dimension < len(self.strides) and self.strides[dimension] else element.size
        for below_low, below_high in self.bounds[dimension + 1:]:
            stride *= max(0, below_high - below_low + 1) if isinstance(below_high, int) else 0
        shown = min(count, MOST_ITEMS if depth < 2 else 20)
        if start is None or count == 0:
            return Aggregate(title, (start or 0, title, dimension, depth), "l", [])
        if depth > MOST_DEPTH:
            return [title, "…"]
        data = self.types.machine.read(start, stride * shown)
        if data is None:
            return [title, "(not readable)"]
        items = []
        for index in range(shown):
            at = start + index * stride
            if dimension + 1 < len(self.bounds):
                items.append((None, self.rows(at, element, dimension + 1, depth + 1, title, self.bounds[dimension + 1][1])))
            else:
                items.append((None, element.read(at, data[index * stride:index * stride + element.size], depth + 1)))
        # An array and its first row lie at the same place.
        return Aggregate(title, (start, title, dimension, depth), "l", items, count if count > shown else None)


def extended(data):
    """An x87 number of 80 bits."""
    fraction = int.from_bytes(data[:8], "little")
    power = int.from_bytes(data[8:10], "little")
    if power & 0x7FFF == 0x7FFF:
        return float("nan") if fraction << 1 & 0xFFFFFFFFFFFFFFFF else float("inf")
    try:
        return (-1.0 if power & 0x8000 else 1.0) * fraction * 2.0 ** ((power & 0x7FFF) - 16383 - 63)
    except OverflowError:
        return float("inf")


def shortest(number, digits):
    """The shortest text that stands for the same number in its type."""
    for size in range(1, digits + 3):
        text = "%.*g" % (size, number)
        if digits > 7 and float(text) == number:
            return text
        if digits <= 7 and struct.pack("<f", float(text)) == struct.pack("<f", number):
            return text
    return "%.*g" % (digits, number)
