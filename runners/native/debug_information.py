"""What the compiler tells of a program (DWARF): lines with their addresses, functions with their variables, types. Student's files only."""
import os

from dwarf import BROKEN, Dwarf, read_lines


class Function:
    """A function of the program: `low` and `high` its addresses, `line` where it begins, `last` the address of its end."""

    def __init__(self, name, low, high, file, result):
        self.name, self.low, self.high, self.file, self.result = name, low, high, file, result
        self.line = 0
        self.declared = 0  # the line with its name, where the compiler tells it
        self.last = 0
        self.variables = []  # Variable
        self.makes = False  # makes its own object after it was entered
        self.results = []  # two names of what it returns, where a language has two
        self.is_main = False


class Variable:
    """A name: `location` is a list of DWARF operations, `low` and `high` bound the addresses where it can be seen (0, 0: everywhere),
    `line` is where it is declared (0: not told)."""

    def __init__(self, name, location, kind, parameter, low, high, line):
        self.name, self.location, self.kind, self.parameter, self.low, self.high, self.line = name, location, kind, parameter, low, high, line
        self.last_index = None  # for an open array: where its last position stands


class Program:
    def __init__(self):
        self.rows = {}  # address: (file number, line)
        self.functions = []
        self.globals = []


def text_of(die, attribute):
    found = die.attributes.get(attribute)
    return found.value.decode("utf-8", "replace") if found is not None else ""


def number_of(die, attribute, default=0):
    found = die.attributes.get(attribute)
    return found.value if found is not None and isinstance(found.value, int) else default


def read_program(path, files, types):
    """Reads the program at `path`. `files` are the names of the student's files in order; `types` makes types of entries."""
    program = Program()
    numbers = {name: number for number, name in enumerate(files)}
    with open(path, "rb") as source:
        dwarf = Dwarf(source.read())
    for unit in dwarf.units:
        try:
            name = own_name(text_of(unit.top(), "name"))
            if name in numbers:
                read_unit(program, dwarf, unit, types, numbers, numbers[name])
        except BROKEN:
            continue
    program.functions.sort(key=lambda function: function.low)
    for function in program.functions:
        rows = sorted(address for address in program.rows if function.low <= address < function.high)
        function.last = rows[-1] if rows else 0
        function.line = program.rows[rows[0]][1] if rows else 0
    kept = [(function.low, function.high) for function in program.functions]
    program.rows = {address: row for address, row in program.rows.items() if any(low <= address < high for low, high in kept)}
    return program


def read_unit(program, dwarf, unit, types, numbers, file):
    """Adds lines, functions and variables of a unit of the student's; `file` is the number of its file."""
    top = unit.all()
    files, rows = read_lines(dwarf, number_of(top, "stmt_list"))
    own_files = file_names(files, numbers)
    for address, number, line in rows:
        if own_files.get(number) is not None:
            program.rows[address] = (own_files[number], line)
    types.prepare(own_files)
    read_scope(program, top, None, types, own_files, file)


def own_name(name):
    """The name of a file as the case has it."""
    name = os.path.normpath(name)
    return os.path.relpath(name, "/case") if name.startswith("/case/") else name


def file_names(files, numbers):
    """For each file number of a unit's table of lines: the student's file number, or None."""
    names = {}
    for index, (name, folder) in enumerate(files):
        name = own_name(name.decode("utf-8", "replace"))
        folder = folder.decode("utf-8", "replace")
        if folder not in ("", ".", "/case", "./", "/case/"):
            joined = os.path.normpath(os.path.join(folder, name))
            name = os.path.relpath(joined, "/case") if joined.startswith("/case/") else joined
        names[index + 1] = numbers.get(name)
    return names


def bounds(die):
    low = die.attributes.get("low_pc")
    high = die.attributes.get("high_pc")
    if low is None or high is None:
        return 0, 0
    return low.value, low.value + high.value if high.is_constant() else high.value


def read_scope(program, die, function, types, own_files, file, low=0, high=0):
    for child in die.children:
        tag = child.tag
        if tag == "subprogram":
            start, end = bounds(child)
            name = text_of(child, "name")
            if end == 0 or (name.startswith("$") and name != "$main"):
                continue
            inner = Function("main" if name == "$main" else name, start, end, file, types.of(child))
            inner.is_main = name == "$main"
            inner.declared = number_of(child, "decl_line")
            program.functions.append(inner)
            read_scope(program, child, inner, types, own_files, file)
            results = [variable for variable in inner.variables if not variable.parameter and variable.name in (name, "RESULT")]
            inner.results = results if len(results) == 2 else []
        elif tag in ("class_type", "structure_type"):
            # Methods stand in their class.
            read_scope(program, child, None, types, own_files, file)
        elif tag == "lexical_block":
            start, end = bounds(child)
            read_scope(program, child, function, types, own_files, file, start or low, end or high)
        elif tag in ("variable", "formal_parameter"):
            name = text_of(child, "name")
            location = child.attributes.get("location")
            if name.startswith("$high") and function is not None and location is not None:
                for variable in function.variables:
                    if variable.name.upper() == name[5:]:
                        variable.last_index = types.expression(location.value)
            if name == "$vmt" and function is not None:
                function.makes = True
            if not name or name.startswith("$") or location is None or not isinstance(location.value, list):
                continue
            declared = number_of(child, "decl_file", -1)
            if declared >= 0 and own_files.get(declared) is None:
                continue
            operations = types.expression(location.value)
            if function is not None and name == function.name.upper() and name != function.name and tag == "variable":
                name = function.name  # a Pascal function's own result
            if function is not None and name == "this" and child.attributes.get("artificial") is not None:
                name = "Self"
            variable = Variable(name, operations, types.of(child), tag == "formal_parameter", low, high, number_of(child, "decl_line"))
            if function is None:
                program.globals.append(variable)
            else:
                function.variables.append(variable)
