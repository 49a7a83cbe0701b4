"""What each line of a program can change, read once from its syntax tree.

This is what makes recording quick: a line that can only give `x` a value is checked for `x` alone, and objects are looked
at only after a line that may have changed the inside of one. A call of the student's own functions changes nothing
unseen, since their lines are recorded themselves; a call of anything that is not known to be quiet counts as able to
change any object.
"""
import ast

# Methods of the language's own types: those that change what they are called on, and those that change nothing.
CHANGING_METHODS = frozenset((
    "append extend insert remove pop clear sort reverse update setdefault popitem add discard appendleft popleft extendleft rotate subtract "
    "difference_update intersection_update symmetric_difference_update").split())
QUIET_METHODS = frozenset((
    "split join strip lstrip rstrip upper lower title capitalize swapcase replace find rfind index count startswith endswith isdigit isalpha isalnum isnumeric "
    "isdecimal isspace isupper islower format zfill ljust rjust center splitlines partition rpartition encode decode keys values items get copy union intersection "
    "difference issubset issuperset bit_length readline read readlines write flush close randint randrange choice uniform sqrt floor ceil sin cos").split())
QUIET_FUNCTIONS = frozenset((
    "print len range int float str bool input abs min max sum round ord chr repr enumerate zip sorted reversed isinstance issubclass type list tuple dict set "
    "frozenset map filter any all divmod pow hash id bin hex oct open iter callable hasattr getattr super object").split())
DYNAMIC_FUNCTIONS = frozenset("exec eval globals locals vars setattr delattr __import__".split())


class LineFacts:
    """names: given a value, in the order of the source (None: any may be); watched: names of objects that may be changed inside (None: any object may be);
    deep: those of them whose elements may be changed too; functions and methods: what is called, by name."""
    __slots__ = ("names", "watched", "deep", "functions", "methods")

    def __init__(self):
        self.names = {}
        self.watched = set()
        self.deep = set()
        self.functions = set()
        self.methods = set()

    def watch(self, node, deep=False):
        """Notes that the object which `node` gives may be changed inside."""
        if self.watched is None:
            return
        if isinstance(node, ast.Name):
            self.watched.add(node.id)
            if deep:
                self.deep.add(node.id)
        else:
            self.watched = None


def note_target(fact, target, in_place=False):
    """An assignment or deletion of `target`."""
    if isinstance(target, ast.Name):
        if fact.names is not None:
            fact.names[target.id] = True
        if in_place:
            fact.watch(target)
    elif isinstance(target, (ast.Attribute, ast.Subscript)):
        fact.watch(target.value, in_place)
    elif isinstance(target, ast.Starred):
        note_target(fact, target.value)
    elif isinstance(target, (ast.Tuple, ast.List)):
        for element in target.elts:
            note_target(fact, element)


def note_expression(fact, node):
    """Calls and inner assignments of an expression; the bodies of lambdas run elsewhere."""
    pending = [node]
    while pending:
        each = pending.pop()
        if isinstance(each, ast.NamedExpr):
            note_target(fact, each.target)
        elif isinstance(each, ast.Call):
            if isinstance(each.func, ast.Name):
                fact.functions.add(each.func.id)
                if each.func.id in DYNAMIC_FUNCTIONS:
                    fact.names = fact.watched = None
            elif isinstance(each.func, ast.Attribute):
                if each.func.attr in CHANGING_METHODS:
                    fact.watch(each.func.value)
                elif each.func.attr not in QUIET_METHODS:
                    fact.methods.add(each.func.attr)
            else:
                fact.watched = None
        elif isinstance(each, (ast.Await, ast.Yield, ast.YieldFrom)):
            fact.watched = None
        if not isinstance(each, ast.Lambda):
            pending.extend(ast.iter_child_nodes(each))


def note_statement(fact, node):
    """What a statement itself does, without the statements inside it."""
    if isinstance(node, (ast.FunctionDef, ast.AsyncFunctionDef, ast.ClassDef)):
        fact.names[node.name] = True
        if node.decorator_list:
            fact.watched = None
    elif isinstance(node, (ast.Import, ast.ImportFrom)):
        fact.names = None
    elif isinstance(node, ast.Assign):
        for target in node.targets:
            note_target(fact, target)
    elif isinstance(node, ast.AugAssign):
        note_target(fact, node.target, True)
    elif isinstance(node, ast.AnnAssign):
        note_target(fact, node.target)
    elif isinstance(node, (ast.For, ast.AsyncFor)):
        note_target(fact, node.target)
    elif isinstance(node, ast.Delete):
        for target in node.targets:
            note_target(fact, target)
    elif isinstance(node, (ast.With, ast.AsyncWith)):
        fact.watched = None
        for item in node.items:
            if item.optional_vars is not None:
                note_target(fact, item.optional_vars)
    elif isinstance(node, ast.ExceptHandler):
        if node.name and fact.names is not None:
            fact.names[node.name] = True
    elif type(node).__name__ in ("Match", "match_case", "TypeAlias"):
        fact.names = None


STATEMENT_LISTS = ("body", "orelse", "finalbody", "handlers", "cases")


def read_facts(text, file):
    """({line: LineFacts}, names of functions and methods, names of classes) of one file; empty if it cannot be parsed."""
    facts = {}
    functions = set()
    classes = set()
    try:
        pending = list(ast.parse(text, file).body)
    except (SyntaxError, ValueError, RecursionError, MemoryError):
        return facts, functions, classes
    while pending:
        node = pending.pop()
        fact = LineFacts()
        note_statement(fact, node)
        first = last = node.lineno if hasattr(node, "lineno") else node.pattern.lineno
        inner = set()
        for field, value in ast.iter_fields(node):
            if field in STATEMENT_LISTS and isinstance(value, list):
                inner.update(id(each) for each in value)
                pending.extend(value)
        is_definition = isinstance(node, (ast.FunctionDef, ast.AsyncFunctionDef, ast.ClassDef))
        if is_definition:
            (classes if isinstance(node, ast.ClassDef) else functions).add(node.name)
            first = min([first] + [decorator.lineno for decorator in node.decorator_list])
        for child in ast.iter_child_nodes(node):
            if id(child) in inner:
                continue
            note_expression(fact, child)
            last = max(last, getattr(child, "end_lineno", None) or last)
        if not inner:
            last = max(last, getattr(node, "end_lineno", None) or last)
        for line in range(first, last + 1):
            known = facts.get(line)
            if known is None:
                facts[line] = fact
            elif known is not fact:
                merged = LineFacts()
                merged.names = None if known.names is None or fact.names is None else {**known.names, **fact.names}
                merged.watched = None if known.watched is None or fact.watched is None else known.watched | fact.watched
                merged.deep = known.deep | fact.deep
                merged.functions = known.functions | fact.functions
                merged.methods = known.methods | fact.methods
                facts[line] = merged
    return facts, functions, classes
