"""Values as a person writes them, without running any of the student's code.

A value is [type, text] (in the recording a JSON number, true, false or null stands for a small int, bool or None), or [type, text or None, id, items, shape, cut?] for what holds other values.
    shape "l" list, "t" tuple, "s" set, "d" dict, "o" object; items are values for l, t and s, and
    [key text, value] for d and o. An object met before is [type, None, id]: its items are known.
"""
import re
import types

TEXT_LIMIT = 200
ITEM_LIMIT = 100
DEPTH_LIMIT = 6
OBJECT_LIMIT = 2000
SAFE = 2 ** 53
ADDRESS = re.compile(r" at 0x[0-9A-Fa-f]+")
ATOMS = (int, float, bool, type(None), complex)
EXACT_ATOMS = frozenset(ATOMS)
HIDDEN = (types.ModuleType, types.FunctionType, types.BuiltinFunctionType, type)


def cut(text):
    return text if len(text) <= TEXT_LIMIT else text[:TEXT_LIMIT] + "\u2026"


def atom_text(value):
    """The printed form of a number, None or a text, cut to TEXT_LIMIT characters."""
    kind = type(value)
    if kind is str:
        return cut(repr(value if len(value) <= TEXT_LIMIT else value[:TEXT_LIMIT + 1]))
    if kind is int and (value > 10 ** 60 or value < -(10 ** 60)):
        if value.bit_length() > 12000:
            return "(a number of about %d digits)" % int(value.bit_length() * 0.30103)
        return cut(repr(value))
    return repr(value)


def library_text(value):
    """The printed form of a value whose class is not the student's own; addresses are left out."""
    try:
        return cut(ADDRESS.sub("", repr(value)))
    except BaseException as problem:
        return "(cannot be shown: %s)" % type(problem).__name__


def slot_names(kind):
    names = []
    for parent in kind.__mro__:
        slots = parent.__dict__.get("__slots__", ())
        for name in (slots,) if isinstance(slots, str) else tuple(slots):
            if name not in ("__dict__", "__weakref__"):
                names.append(name)
    return tuple(names)


class Values:
    """Renders values and remembers every changeable object, so that changes in it can be found."""

    def __init__(self, own_modules):
        self.own_modules = own_modules
        self.tracked = {}
        self.next_id = 1
        self.slots = {}
        self.shapes = {}
        self.finalizers = False

    def shape_of(self, kind):
        """How values of a class are taken apart, None for not at all; worked out once for each class."""
        try:
            return self.shapes[kind]
        except KeyError:
            pass
        if issubclass(kind, list) or kind.__name__ == "deque" and kind.__module__ == "collections":
            shape = "l"
        elif issubclass(kind, dict):
            shape = "d"
        elif issubclass(kind, (set, frozenset)):
            shape = "s"
        elif issubclass(kind, tuple):
            shape = "t"
        elif self.is_own(kind) and not issubclass(kind, HIDDEN + (str, bytes, int, float)):
            shape = "o"
        else:
            shape = None
        self.shapes[kind] = shape
        self.slots[kind] = slot_names(kind) if shape == "o" else ()
        if shape == "o" and hasattr(kind, "__del__"):
            self.finalizers = True
        return shape

    def is_own(self, kind):
        """True when the class is written in the student's files."""
        return getattr(kind, "__module__", None) in self.own_modules

    def fields(self, value):
        """The fields of an object, without calling any of its methods: the very dict of a plain object, else a new one."""
        try:
            found = object.__getattribute__(value, "__dict__")
        except BaseException:
            found = {}
        names = self.slots.get(type(value))
        if names:
            found = dict(found)
            for name in names:
                try:
                    found[name] = object.__getattribute__(value, name)
                except BaseException:
                    pass
        return found if type(found) is dict else dict(found)

    def contents(self, value):
        """(shape, snapshot) of something that holds values; shape None for anything else."""
        shape = self.shape_of(type(value))
        if shape is None:
            return None, None
        if shape == "o":
            return shape, dict(self.fields(value))
        if shape == "l":
            return shape, list.copy(value) if isinstance(value, list) else list(value)
        if shape == "d":
            return shape, dict.copy(value) if type(value) is dict else dict(dict.items(value))
        if shape == "s":
            return shape, list(set.__iter__(value) if isinstance(value, set) else frozenset.__iter__(value))
        return shape, list(tuple.__iter__(value))

    def key_text(self, key):
        if type(key) in EXACT_ATOMS or type(key) is str:
            return atom_text(key)
        return self.plain_text(key)

    def plain_text(self, value):
        """One line of text for a value that is not taken apart here."""
        kind = type(value)
        if kind in EXACT_ATOMS or kind is str:
            return atom_text(value)
        if isinstance(value, tuple):
            inner = [self.plain_text(item) for item in list(tuple.__iter__(value))[:ITEM_LIMIT]]
            return cut("(" + ", ".join(inner) + (",)" if len(inner) == 1 else ")"))
        if self.is_own(kind):
            return kind.__name__ + "(\u2026)"
        if isinstance(value, (list, dict, set, frozenset)):
            return kind.__name__ + "(\u2026)"
        return library_text(value)

    def token(self, value, depth=0):
        """A value as it stands in the recording: small whole numbers, True, False and None as they are."""
        kind = value.__class__
        if kind is int and -SAFE < value < SAFE or value is None or value is True or value is False:
            return value
        return self.render(value, depth)

    def render(self, value, depth=0):
        kind = type(value)
        if kind in EXACT_ATOMS or kind is str:
            return [kind.__name__, atom_text(value)]
        known = self.tracked.get(id(value))
        name = kind.__name__
        if known is not None:
            return [name, None, known[1]]
        shape, snapshot = self.contents(value)
        if shape is None:
            if isinstance(value, type) or callable(value) and hasattr(value, "__name__"):
                return [name, "<%s>" % getattr(value, "__name__", name)]
            if isinstance(value, (str, bytes, int, float)):
                base = next(b for b in (bool, int, float, str, bytes) if isinstance(value, b))
                if base is bytes:
                    return [name, cut(bytes.__repr__(value[:TEXT_LIMIT + 1]))]
                return [name, cut(base.__repr__(value))]
            if kind is bytearray:
                return [name, cut(repr(bytes(value[:TEXT_LIMIT + 1])))]
            return [name, library_text(value)]
        number = 0
        changeable = shape != "t" and not isinstance(value, frozenset)
        if changeable:
            if depth >= DEPTH_LIMIT or len(self.tracked) >= OBJECT_LIMIT:
                return [name, "(\u2026)" if shape == "o" else "\u2026"]
            number = self.next_id
            self.next_id = number + 1
            self.tracked[id(value)] = [value, number, shape, snapshot]
        elif depth >= DEPTH_LIMIT:
            return [name, "\u2026"]
        elif shape == "t" and all(type(i) in EXACT_ATOMS or type(i) is str for i in snapshot[:ITEM_LIMIT]):
            return [name, self.plain_text(value)]
        items = self.items(shape, snapshot, depth + 1)
        rendered = [name, None, number, items, shape]
        if len(snapshot) > ITEM_LIMIT:
            rendered.append(len(snapshot))
        return rendered

    def items(self, shape, snapshot, depth):
        if shape == "d" or shape == "o":
            items = []
            for key in snapshot:
                if len(items) >= ITEM_LIMIT:
                    break
                items.append([key if shape == "o" else self.key_text(key), self.token(snapshot[key], depth)])
            return items
        ordered = snapshot[:ITEM_LIMIT]
        if shape == "s":
            try:
                ordered = sorted(snapshot)[:ITEM_LIMIT] if all(type(i) in EXACT_ATOMS or type(i) is str for i in snapshot) else ordered
            except TypeError:
                pass
        return [self.token(item, depth) for item in ordered]

    def describe_problem(self, problem):
        """[error name, message] of an exception, without calling a method of the student's."""
        kind = type(problem)
        text_method = kind.__str__
        if isinstance(text_method, types.FunctionType):
            text_method = BaseException.__str__
        try:
            text = cut(text_method(problem))
        except BaseException:
            text = ""
        return [kind.__name__, text]
