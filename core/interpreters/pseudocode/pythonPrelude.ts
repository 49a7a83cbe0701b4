/** What is said in Python of a program's own, once at its beginning. */
export const prelude = `import copy
import math


def text(value):
    if value is True or value is False:
        return "TRUE" if value else "FALSE"
    return str(value)


def show(*values, end="\\n"):
    print("".join(text(value) for value in values), end=end)


def number(line):
    try:
        return int(line)
    except ValueError:
        try:
            return float(line)
        except ValueError:
            return line


def counted(value, limit, step):
    if step == 0:
        raise ValueError("a step of 0")
    while value <= limit if step > 0 else value >= limit:
        yield value
        value = value + step


class Array:
    def __init__(self, first, last, make=lambda: None):
        self.first = first
        self.items = [make() for _ in range(last - first + 1)]

    @staticmethod
    def of(*items):
        made = Array(1, len(items))
        made.items = list(items)
        return made

    def place(self, position):
        if not 0 <= position - self.first < len(self.items):
            raise IndexError(f"no position {position}")
        return position - self.first

    def __getitem__(self, position):
        value = self.items[self.place(position)]
        if value is None:
            raise ValueError(f"position {position} has no value")
        return value

    def __setitem__(self, position, value):
        self.items[self.place(position)] = value

    def __len__(self):
        return len(self.items)

    def __iter__(self):
        return iter(self.items)

    def __str__(self):
        return "[" + ", ".join("?" if item is None else text(item) for item in self.items) + "]"


class Record:
    def __init__(self, **fields):
        self.__dict__.update(fields)


def piece(whole, start, length):
    if start < 1 or length < 0 or start + length - 1 > len(whole):
        raise IndexError("outside of the text")
    return whole[start - 1:start - 1 + length]


def sign_at(whole, position):
    if isinstance(whole, str):
        return piece(whole, position, 1)
    return whole[position]


def to_number(line):
    value = number(text(line).strip())
    if isinstance(value, str):
        raise ValueError("no number")
    return value

`;
