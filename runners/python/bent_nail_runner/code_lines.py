"""What each line of a compiled program can change, read once from its instructions.

This is what makes recording quick: a line that can only give `x` a value is checked for `x` alone.
Instructions that are not known here count as able to change anything.
"""
import dis

STORES = frozenset(("STORE_FAST", "STORE_NAME", "STORE_GLOBAL", "STORE_DEREF",
                    "DELETE_FAST", "DELETE_NAME", "DELETE_GLOBAL", "DELETE_DEREF"))
QUIET_PREFIXES = ("LOAD_", "STORE_FAST", "JUMP_", "POP_", "RETURN_", "BUILD_", "FORMAT_", "UNARY_", "SETUP_", "UNPACK_", "ROT_", "DUP_", "COPY", "CONVERT_")
QUIET = frozenset(("COMPARE_OP", "IS_OP", "CONTAINS_OP", "GET_ITER", "FOR_ITER", "NOP", "RESUME", "PRECALL", "CACHE", "SWAP", "EXTENDED_ARG",
                   "MAKE_CELL", "PUSH_NULL", "KW_NAMES", "LIST_EXTEND", "SET_UPDATE", "DICT_UPDATE", "DICT_MERGE", "LIST_TO_TUPLE", "NOT_TAKEN",
                   "END_FOR", "TO_BOOL", "MAKE_FUNCTION", "SET_FUNCTION_ATTRIBUTE", "SETUP_ANNOTATIONS", "INTERPRETER_EXIT", "LOAD_METHOD",
                   "BINARY_SUBSCR", "BINARY_SLICE", "PUSH_EXC_INFO", "RERAISE", "GEN_START", "BINARY_ADD", "BINARY_SUBTRACT", "BINARY_MULTIPLY",
                   "BINARY_TRUE_DIVIDE", "BINARY_FLOOR_DIVIDE", "BINARY_MODULO", "BINARY_POWER")) | STORES
DYNAMIC_NAMES = frozenset(("exec", "eval", "globals", "locals", "vars", "setattr", "delattr", "__dict__", "__import__", "import_module"))
HIDDEN_FRAMES = frozenset(("<listcomp>", "<dictcomp>", "<setcomp>", "<genexpr>"))


def lines_of(code):
    """{line: (names given a value or None for all, global names given a value, changes objects)}."""
    starts = {}
    for offset, line in dis.findlinestarts(code):
        if line is not None:
            starts[offset] = line
    dynamic = not DYNAMIC_NAMES.isdisjoint(code.co_names)
    facts = {}
    line = code.co_firstlineno
    previous_name = ""
    for instruction in dis.get_instructions(code):
        line = starts.get(instruction.offset, line)
        fact = facts.get(line)
        if fact is None:
            fact = facts[line] = [set(), set(), False, dynamic]
        name = instruction.opname
        if name.startswith("STORE_") or name.startswith("DELETE_"):
            if name in STORES or name.startswith("STORE_FAST"):
                stored = instruction.argval if isinstance(instruction.argval, tuple) else (instruction.argval,)
                target = fact[1] if name.endswith("_GLOBAL") else fact[0]
                if name == "STORE_FAST_LOAD_FAST":
                    stored = stored[:1]
                for each in stored:
                    if isinstance(each, str):
                        target.add(each)
                    else:
                        fact[3] = True
            else:
                fact[2] = True
        elif name == "BINARY_OP":
            if (instruction.argrepr or "=").endswith("="):
                fact[2] = True
        elif name == "IMPORT_STAR" or name == "IMPORT_NAME":
            fact[3] = True
        elif name not in QUIET and not name.startswith(QUIET_PREFIXES):
            fact[2] = True
        if name == "MAKE_FUNCTION":
            fact[3] = fact[3] or previous_name in HIDDEN_FRAMES
        if isinstance(instruction.argval, str):
            previous_name = instruction.argval.rpartition(".")[2]
        elif hasattr(instruction.argval, "co_name"):
            previous_name = instruction.argval.co_name
    return {line: (None if all_names else tuple(names), tuple(global_names), changes)
            for line, (names, global_names, changes, all_names) in facts.items()}
