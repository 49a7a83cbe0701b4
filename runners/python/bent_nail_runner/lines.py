"""Says of variants of one program which are refused, by the one line of each that is: all others stand in other variants too, and each is read
once for all of them.

Where each line is a statement or the header of one by itself, a text is refused at the one line that cannot be read alone, or at the first that
stands further in or out than what is before it allows. Of everything else (a `break` outside of a loop, two lines that cannot be read, statements
over several lines) only the whole text tells.
"""
import ast
import re
import warnings

# Other ends of lines, lines that go on in the next one, what declares something about all of the text, texts over several lines.
READ_WHOLE = re.compile(rb"[\r\f\0]|\A *\t|\\\Z|\A\xef\xbb\xbf|coding[:=]|\"\"\"|'''")
# Branches stand alone behind what they belong to, or as another one.
BRANCHES = ((re.compile(rb"elif\b"), b"if"), (re.compile(rb"except\b"), b"try: pass\nexcept"), (re.compile(rb"(?:else|finally)[ \t]*:"), b"if 1:"))
# Said of a header with nothing below it; and of a text that is open at the end, which may be closed further down.
HEADER = "expected an indented block"
LEFT_OPEN = ("unexpected EOF", "unterminated triple", "expected 'except'")
# Lines that belong to the next one, and words that are names elsewhere.
NOT_ALONE = re.compile(rb"@|(?:case|match)\b")
BLANK, STATEMENT, BLOCK, REFUSED, OPEN = range(5)


def standing_alone(line):
    """A line as it can be read alone; None where it cannot."""
    text = line.strip()
    if READ_WHOLE.search(line) or NOT_ALONE.match(text):
        return None
    for begins, instead in BRANCHES:
        found = begins.match(text)
        if found:
            return instead + text[found.end():]
    return text


def kind_of(line):
    """How a line can be read alone: as a statement, as the header of a block, or not."""
    text = standing_alone(line)
    if text is None:
        return OPEN
    if text[:1] in (b"", b"#"):
        return BLANK
    try:
        with warnings.catch_warnings():
            warnings.simplefilter("ignore")
            compile(text, "", "exec", ast.PyCF_ONLY_AST, dont_inherit=True)
        return STATEMENT
    except SyntaxError as problem:
        if problem.msg.startswith(HEADER):
            return BLOCK
        # A bracket that stays open is closed by no other line that can be read alone.
        return OPEN if problem.msg.startswith(LEFT_OPEN) else REFUSED
    except (ValueError, OverflowError, RecursionError, MemoryError):
        return OPEN


def branches(line):
    """Whether a line goes on with a statement before it."""
    return line.lstrip().startswith((b"elif", b"else", b"except", b"finally"))


def refused_at(data, known):
    """The line (from 1) at which a text is refused; None where only the whole text tells. `known` keeps what is known of lines from one text to
    the next, nothing at first."""
    found = None
    number = 0
    depths = [0]
    heads = [False]
    below = False
    for line in data.split(b"\n"):
        number += 1
        one = known.get(line)
        if one is None:
            one = known[line] = (kind_of(line), len(line) - len(line.lstrip(b" ")), branches(line))
        kind, depth, branch = one
        if kind == BLANK:
            continue
        if kind == OPEN:
            return None
        misplaced = depth <= depths[-1] if below else depth > depths[-1]
        if depth > depths[-1]:
            depths.append(depth)
            heads.append(False)
        while depth < depths[-1]:
            depths.pop()
            heads.pop()
        if depth != depths[-1]:
            # Between two depths: that is told before what cannot be read.
            if found is not None:
                return None
            found = number
            depths.append(depth)
            heads.append(False)
        if found is None:
            if branch and not heads[-1]:
                return None
            if misplaced or kind == REFUSED:
                found = number
        elif kind == REFUSED and found != number:
            return None
        heads[-1] = below = kind == BLOCK
    return found
