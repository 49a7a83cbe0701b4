"""Reads what this folder needs of a compiled program's debug information: entries with their attributes, the table of lines, locations, and symbols
of a shared library. 64-bit little-endian ELF files with DWARF 2 to 4 (DWARF Debugging Information Format 4, chapter 7; System V ABI, chapter 4).

Other units, such as those of the system's own start files, are left alone: only the name of their first entry is read, where it can be.
"""
import struct

TAGS = {0x01: "array_type", 0x02: "class_type", 0x04: "enumeration_type", 0x05: "formal_parameter", 0x0B: "lexical_block", 0x0D: "member", 0x0F: "pointer_type",
        0x10: "reference_type", 0x11: "compile_unit", 0x13: "structure_type", 0x15: "subroutine_type", 0x16: "typedef", 0x17: "union_type", 0x20: "set_type",
        0x21: "subrange_type", 0x24: "base_type", 0x26: "const_type", 0x28: "enumerator", 0x2E: "subprogram", 0x34: "variable", 0x35: "volatile_type",
        0x37: "restrict_type"}
ATTRIBUTES = {0x02: "location", 0x03: "name", 0x0B: "byte_size", 0x0D: "bit_size", 0x10: "stmt_list", 0x11: "low_pc", 0x12: "high_pc", 0x1C: "const_value",
              0x22: "lower_bound", 0x2F: "upper_bound", 0x37: "count", 0x34: "artificial", 0x38: "data_member_location", 0x3A: "decl_file", 0x3B: "decl_line", 0x3E: "encoding",
              0x49: "type", 0x50: "data_location", 0x51: "byte_stride", 0x6B: "data_bit_offset"}
ADDRESS, BLOCK2, BLOCK4, DATA2, DATA4, DATA8, STRING, BLOCK, BLOCK1, DATA1, FLAG, SDATA, STRP, UDATA = 1, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15
REF_ADDR, REF1, REF2, REF4, REF8, REF_UDATA, INDIRECT, SEC_OFFSET, EXPRLOC, FLAG_PRESENT, REF_SIG8 = 16, 17, 18, 19, 20, 21, 22, 23, 24, 25, 32
# Forms that are a plain number of so many bytes; and those of them that are constants (7.5.4): a high_pc of such a one is a length.
FIXED = {ADDRESS: 8, DATA1: 1, DATA2: 2, DATA4: 4, DATA8: 8, FLAG: 1, REF1: 1, REF2: 2, REF4: 4, REF8: 8, REF_SIG8: 8}
CONSTANTS = frozenset((DATA1, DATA2, DATA4, DATA8, SDATA, UDATA))
REFERENCES = frozenset((REF1, REF2, REF4, REF8, REF_UDATA))
BLOCKS = {BLOCK1: 1, BLOCK2: 2, BLOCK4: 4}
# Operations of locations with operands: signed or unsigned, and of how many bytes (0: LEB128), by their numbers (7.7.1).
OPERANDS = {0x03: ("addr", 8, False), 0x08: ("const1u", 1, False), 0x09: ("const1s", 1, True), 0x0A: ("const2u", 2, False), 0x0B: ("const2s", 2, True),
            0x0C: ("const4u", 4, False), 0x0D: ("const4s", 4, True), 0x0E: ("const8u", 8, False), 0x0F: ("const8s", 8, True), 0x10: ("constu", 0, False),
            0x11: ("consts", 0, True), 0x23: ("plus_uconst", 0, False), 0x28: ("bra", 2, True), 0x2F: ("skip", 2, True), 0x91: ("fbreg", 0, True),
            0x94: ("deref_size", 1, False)}
PLAIN = {0x06: "deref", 0x12: "dup", 0x13: "drop", 0x14: "over", 0x16: "swap", 0x1A: "and", 0x1B: "div", 0x1C: "minus", 0x1D: "mod", 0x1E: "mul", 0x1F: "neg",
         0x20: "not", 0x21: "or", 0x22: "plus", 0x24: "shl", 0x25: "shr", 0x26: "shra", 0x27: "xor", 0x29: "eq", 0x2A: "ge", 0x2B: "gt", 0x2C: "le",
         0x2D: "lt", 0x2E: "ne", 0x96: "nop", 0x97: "push_object_address", 0x9C: "call_frame_cfa", 0x9F: "stack_value"}


class NotRead(Exception):
    """Something is written in a way that is not read here."""


# What reading gives where the information is not what it should be: a program may hold some of its own.
BROKEN = (NotRead, IndexError, KeyError, ValueError, struct.error, RecursionError)


def unsigned(data, at):
    """(number, where it ends) of an unsigned LEB128 (7.6)."""
    number = shift = 0
    while True:
        byte = data[at]
        at += 1
        number |= (byte & 0x7F) << shift
        if byte < 0x80:
            return number, at
        shift += 7


def signed(data, at):
    """(number, where it ends) of a signed LEB128 (7.6)."""
    number = shift = 0
    while True:
        byte = data[at]
        at += 1
        number |= (byte & 0x7F) << shift
        shift += 7
        if byte < 0x80:
            return (number - (1 << shift) if byte & 0x40 else number), at


def text_at(data, at):
    """(bytes, where the next begins) of a text that ends by a zero."""
    end = data.index(b"\0", at)
    return data[at:end], end + 1


class Elf:
    """The sections of an ELF file by name, as bytes."""

    def __init__(self, data):
        if data[:6] != b"\x7fELF\x02\x01":
            raise NotRead("no 64-bit little-endian ELF file")
        start, = struct.unpack_from("<Q", data, 0x28)
        size, count, names = struct.unpack_from("<HHH", data, 0x3A)
        headers = [struct.unpack_from("<IIQQQQ", data, start + index * size) for index in range(count)]
        texts = headers[names][4]
        self.data = data
        self.places = {text_at(data, texts + header[0])[0]: header[4:6] for header in headers if header[1] != 8 and not header[2] & 0x800}

    def section(self, name):
        """The bytes of a section, b"" if there is none (or it is compressed)."""
        start, size = self.places.get(name, (0, 0))
        return self.data[start:start + size]

    def symbol(self, name):
        """The address of a symbol that others can link to, or None."""
        texts = self.section(b".dynstr")
        at = texts.find(b"\0" + name + b"\0") + 1
        if at == 0:
            return None
        return next((value for place, _, _, section, value, _ in struct.iter_unpack("<IBBHQQ", self.section(b".dynsym")) if place == at and section), None)


class Attribute:
    __slots__ = ("value", "form")

    def __init__(self, value, form):
        self.value, self.form = value, form

    def is_constant(self):
        return self.form in CONSTANTS


class Entry:
    """An entry of a unit (DIE): `attributes` by their names without DW_AT_; numbers, bytes of texts, and lists of numbers for locations."""

    __slots__ = ("unit", "offset", "tag", "attributes", "children")

    def __init__(self, unit, offset, tag, attributes):
        self.unit, self.offset, self.tag, self.attributes, self.children = unit, offset, tag, attributes, []

    def named(self, attribute):
        """The entry that an attribute names, or None."""
        found = self.attributes[attribute]
        return self.unit.dwarf.entry_at(found.value + (self.unit.offset if found.form in REFERENCES else 0))


class Unit:
    """A unit of the program: `top` is its first entry, read alone until the others are asked for."""

    def __init__(self, dwarf, offset, start, end, version, abbreviations):
        self.dwarf, self.offset, self.start, self.end, self.version, self.abbreviations = dwarf, offset, start, end, version, abbreviations
        self.entries = None

    def top(self):
        return self.read(self.start)[0]

    def read(self, at):
        """(the entry at an offset or None for the end of children, whether children follow, where the next begins)."""
        offset = at
        data = self.dwarf.info
        code, at = unsigned(data, at)
        if code == 0:
            return None, False, at
        tag, children, wanted = self.dwarf.abbreviation(self.abbreviations, code)
        attributes = {}
        for name, form in wanted:
            value, at, form = self.dwarf.value(form, at)
            if name is not None:
                attributes[name] = Attribute(value, form)
        return Entry(self, offset, tag, attributes), children, at

    def all(self):
        """The first entry with all below it."""
        if self.entries is None:
            self.entries = {}
            above = []
            at = self.start
            top = None
            while at < self.end:
                entry, children, at = self.read(at)
                if entry is None:
                    if not above:
                        break
                    above.pop()
                    if not above:
                        break
                    continue
                self.entries[entry.offset] = entry
                top = top or entry
                if above:
                    above[-1].children.append(entry)
                if children:
                    above.append(entry)
                elif not above:
                    break
            self.first = top
        return self.first


class Dwarf:
    def __init__(self, data):
        elf = Elf(data)
        self.info, self.abbrev, self.texts, self.lines = (elf.section(name) for name in (b".debug_info", b".debug_abbrev", b".debug_str", b".debug_line"))
        self.known = {}
        self.units = list(self.read_units())

    def read_units(self):
        at = 0
        while at + 11 <= len(self.info):
            length, version, abbreviations, size = struct.unpack_from("<IHIB", self.info, at)
            if length >= 0xFFFFFFF0:
                return
            if 2 <= version <= 4 and size == 8:
                yield Unit(self, at, at + 11, at + 4 + length, version, abbreviations)
            at += 4 + length

    def abbreviation(self, table, code):
        """(tag, whether it has children, [(name or None, form)]) of a code in a table of abbreviations."""
        if table not in self.known:
            found = self.known[table] = {}
            data, at = self.abbrev, table
            while True:
                number, at = unsigned(data, at)
                if number == 0:
                    break
                tag, at = unsigned(data, at)
                children = data[at] != 0
                at += 1
                wanted = []
                while True:
                    attribute, at = unsigned(data, at)
                    form, at = unsigned(data, at)
                    if attribute == 0 and form == 0:
                        break
                    wanted.append((ATTRIBUTES.get(attribute), form))
                found[number] = (TAGS.get(tag, "other"), children, wanted)
        return self.known[table][code]

    def value(self, form, at):
        """(value, where it ends, its form) of an attribute."""
        data = self.info
        size = FIXED.get(form)
        if size is not None:
            return int.from_bytes(data[at:at + size], "little"), at + size, form
        if form in (STRP, SEC_OFFSET, REF_ADDR):
            number, = struct.unpack_from("<I", data, at)
            return (text_at(self.texts, number)[0] if form == STRP else number), at + 4, form
        if form == STRING:
            text, at = text_at(data, at)
            return text, at, form
        if form in (UDATA, REF_UDATA):
            number, at = unsigned(data, at)
            return number, at, form
        if form == SDATA:
            number, at = signed(data, at)
            return number, at, form
        if form == FLAG_PRESENT:
            return 1, at, form
        if form in BLOCKS:
            size = int.from_bytes(data[at:at + BLOCKS[form]], "little")
            at += BLOCKS[form]
            return list(data[at:at + size]), at + size, form
        if form in (BLOCK, EXPRLOC):
            size, at = unsigned(data, at)
            return list(data[at:at + size]), at + size, form
        if form == INDIRECT:
            form, at = unsigned(data, at)
            return self.value(form, at)
        raise NotRead("form %d" % form)

    def entry_at(self, offset):
        """The entry at an offset of the whole section, or None."""
        for unit in self.units:
            if unit.offset <= offset < unit.end:
                unit.all()
                return unit.entries.get(offset)
        return None


def operations(block):
    """[(name, arguments)] of a location (2.5); what is not known ends it, under its number."""
    data = bytes(block)
    at = 0
    found = []
    while at < len(data):
        code = data[at]
        at += 1
        if code in OPERANDS:
            name, size, negative = OPERANDS[code]
            if size:
                number = int.from_bytes(data[at:at + size], "little", signed=negative)
                at += size
            else:
                number, at = (signed if negative else unsigned)(data, at)
            found.append(("DW_OP_" + name, [number]))
        elif 0x30 <= code <= 0x4F:
            found.append(("DW_OP_lit%d" % (code - 0x30), []))
        elif 0x50 <= code <= 0x6F:
            found.append(("DW_OP_reg%d" % (code - 0x50), []))
        elif 0x70 <= code <= 0x8F:
            number, at = signed(data, at)
            found.append(("DW_OP_breg%d" % (code - 0x70), [number]))
        elif code in PLAIN:
            found.append(("DW_OP_" + PLAIN[code], []))
        else:
            found.append(("DW_OP_%#x" % code, []))
            break
    return found


def read_lines(dwarf, offset):
    """(files as [(name, folder)] from number 1 on, rows as [(address, file, line)] of statements) of the table of lines at an offset (6.2)."""
    data = dwarf.lines
    length, version = struct.unpack_from("<IH", data, offset)
    if not 2 <= version <= 4:
        raise NotRead("lines of version %d" % version)
    end = offset + 4 + length
    header, = struct.unpack_from("<I", data, offset + 6)
    program = offset + 10 + header
    at = offset + 10
    shortest = data[at]
    at += 2 if version == 4 else 1
    statement, base, line_range, first_special = struct.unpack_from("<BbBB", data, at)
    at += 4
    sizes = data[at:at + first_special - 1]
    at += first_special - 1
    folders = [b""]
    while data[at]:
        folder, at = text_at(data, at)
        folders.append(folder)
    at += 1
    files = []

    def read_file(at):
        name, at = text_at(data, at)
        folder, at = unsigned(data, at)
        _, at = unsigned(data, at)
        _, at = unsigned(data, at)
        files.append((name, folders[folder] if folder < len(folders) else b""))
        return at

    while data[at]:
        at = read_file(at)
    rows = []
    at = program
    while at < end:
        address, file, line, is_statement = 0, 1, 1, statement != 0
        while at < end:
            code = data[at]
            at += 1
            if code >= first_special:
                step = code - first_special
                address += step // line_range * shortest
                line += base + step % line_range
            elif code == 0:
                size, at = unsigned(data, at)
                extended, after = data[at], at + size
                if extended == 1:
                    at = after
                    break
                if extended == 2:
                    address = int.from_bytes(data[at + 1:after], "little")
                elif extended == 3:
                    read_file(at + 1)
                at = after
                continue
            elif code == 1:
                pass
            elif code == 2:
                number, at = unsigned(data, at)
                address += number * shortest
                continue
            elif code == 3:
                number, at = signed(data, at)
                line += number
                continue
            elif code == 4:
                file, at = unsigned(data, at)
                continue
            elif code == 6:
                is_statement = not is_statement
                continue
            elif code == 8:
                address += (255 - first_special) // line_range * shortest
                continue
            elif code == 9:
                address += struct.unpack_from("<H", data, at)[0]
                at += 2
                continue
            else:
                # Columns, basic blocks, the ends of prologues, and what is newer: numbers that nothing here asks for.
                for _ in range(sizes[code - 1]):
                    _, at = unsigned(data, at)
                continue
            if is_statement and line:
                rows.append((address, file, line))
    return files, rows
