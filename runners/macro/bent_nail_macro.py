"""Runs Basic macros inside an office, each in a fresh workbook of its own (started by start.py, in the office's own process).

The order (BENT_NAIL_MACRO) is a JSON object: {"mode": "check" | "run" | "trace" | "many", "program": a program, "list": a path}. A program is
{"files": [paths], "marked": {path: path}, "entry": name of the routine to start with, "compatible": true where the compatibility option is set}: the first file is the module that holds it, other .bas files
are modules beside it, .csv files are sheets; `marked` says where the text of a module lies with the calls put in by which it is run. Of many programs the list holds one a line; which comes next is told by descriptor 61, how it ended by
descriptor 62 (runners/sandbox/bent_nail_sandbox/command_tries.py).

What a program prints goes to descriptor 1, what it asks for comes from descriptor 0. What stopped it goes to descriptor 2 in the office's words,
with the place that the calls in its text tell (core/languages/basicMacro/instrument.ts), and behind a sign of record (30) what its sheets hold.
"""
import csv
import json
import os
import struct
import traceback

import unohelper
from com.sun.star.beans import PropertyValue
from com.sun.star.script import InvocationInfo, XInvocation2
from com.sun.star.script.MemberType import METHOD
from com.sun.star.task import XJob
from com.sun.star.table.CellContentType import EMPTY, FORMULA, TEXT
from com.sun.star.document.MacroExecMode import ALWAYS_EXECUTE_NO_WARN

RECORD = b"\x1e"
SUPPORT = "Option VBASupport 1 : "
MOST_ROWS, MOST_COLUMNS, MOST_CELLS = 1000, 100, 4000
MOST_SHEETS = 20
MOST_LOOKED = 2000  # cells of a workbook that are compared step by step

LINKS = """Global BentNail As Object
Global BentNailLine As Long
Function BentNailAt(ByVal line As Long) As Boolean
  BentNailLine = line
  BentNailAt = True
End Function
Sub BentNailWrite(ByVal after As Integer, ByVal item)
  Dim kind As Integer
  kind = VarType(item)
  If (kind >= 2 And kind <= 5) Then
    BentNail.Write(" " & CStr(item), after)
  Else
    BentNail.Write(CStr(item), after)
  End If
End Sub
Function BentNailShow(ByVal text, Optional ByVal kind) As Integer
  If IsMissing(kind) Then kind = 0
  BentNailShow = BentNail.Show(CStr(text), kind)
End Function
Function BentNailAsk(ByVal text, Optional ByVal given) As String
  If IsMissing(given) Then given = ""
  BentNailAsk = BentNail.Ask(CStr(text), CStr(given))
End Function
Function BentNailTranslated() As String
  On Error GoTo Caught
  %(library)s.Program.BentNailNothing%(number)d
  BentNailTranslated = "yes"
  Exit Function
Caught:
  BentNailTranslated = CStr(Err)
End Function
Function BentNailBegin(ByVal host As Variant) As String
  BentNail = host
  On Error GoTo Caught
  %(library)s.Program.%(entry)s
  BentNailBegin = "ended"
  Exit Function
Caught:
  BentNailBegin = CStr(Err) & "|" & CStr(BentNailLine) & "|" & Error$
End Function
"""
OWN = """
Sub BentNailNothing%d
End Sub
"""
SHOW = """Function MsgBox(ByVal text, Optional ByVal kind, Optional ByVal title) As Integer
  If IsMissing(kind) Then kind = 0
  MsgBox = BentNailShow(text, kind)
End Function
"""
ASK = """Function InputBox(ByVal text, Optional ByVal title, Optional ByVal given, Optional x, Optional y) As String
  If IsMissing(given) Then given = ""
  InputBox = BentNailAsk(text, given)
End Function
"""


def setting(name, value):
    made = PropertyValue()
    made.Name, made.Value = name, value
    return made


def number_text(number):
    """A number as Basic writes it."""
    if isinstance(number, bool):
        return "True" if number else "False"
    if isinstance(number, int):
        return str(number)
    mantissa, _, power = ("%.15G" % number).partition("E")
    return "%sE%s%03d" % (mantissa, power[0], int(power[1:])) if power else mantissa


def column_name(column):
    name = ""
    column += 1
    while column:
        column, rest = divmod(column - 1, 26)
        name = chr(65 + rest) + name
    return name


def place_name(column, row):
    return "%s%d" % (column_name(column), row + 1)


def cut(text):
    return text if len(text) <= 200 else text[:200] + "…"


def object_text(held):
    """What an object of the office is, in a word or two."""
    try:
        if held.supportsService("com.sun.star.sheet.SheetCell"):
            address = held.CellAddress
            return "cell " + place_name(address.Column, address.Row)
        if held.supportsService("com.sun.star.sheet.Spreadsheet"):
            return "sheet " + held.Name
        if held.supportsService("com.sun.star.sheet.SheetCellRange"):
            address = held.RangeAddress
            return "cells %s:%s" % (place_name(address.StartColumn, address.StartRow), place_name(address.EndColumn, address.EndRow))
        if held.supportsService("com.sun.star.sheet.Spreadsheets"):
            return "sheets"
        if held.supportsService("com.sun.star.sheet.SpreadsheetDocument"):
            return "workbook"
    except Exception:
        pass
    return "object"


def token(held, depth=0):
    """A value as a token of the recording (runners/python/bent_nail_runner/recorder.py)."""
    if held is None:
        return ["Empty", "Empty"]
    if isinstance(held, bool):
        return ["Boolean", number_text(held)]
    if isinstance(held, int):
        return ["Integer", number_text(held)]
    if isinstance(held, float):
        return ["Double", number_text(held)]
    if isinstance(held, str):
        return ["String", '"%s"' % cut(held).replace('"', '""')]
    if isinstance(held, tuple):
        if depth > 3:
            return ["list", "(…)"]
        made = ["list", None, 0, [token(each, depth + 1) for each in held[:200]], "l"]
        return made if len(held) <= 200 else made + [len(held)]
    return ["Object", object_text(held)]


class Recording:
    """The stream of a recording on descriptor 60 (commands.py)."""

    def __init__(self, limit):
        self.limit, self.used, self.count, self.line = limit, 16, 0, 0
        self.tokens, self.columns, self.frames, self.stack = [], {}, 0, []
        self.known = {}

    def flush(self, reason=0):
        data = json.dumps(self.tokens, ensure_ascii=False).encode("utf-8", "replace")
        self.tokens = []
        os.pwrite(60, struct.pack("<I", len(data)) + data, self.used)
        self.used += 4 + len(data)
        os.pwrite(60, struct.pack("<IIII", self.used, self.line, self.count, reason), 0)

    def stamp(self, line):
        self.line = line
        os.pwrite(60, struct.pack("<II", line, self.count), 4)

    def counted(self, line):
        self.count += 1
        if self.count > self.limit:
            self.flush(1)
            os.kill(os.getpid(), 9)
        if self.count % 64 == 0:
            self.flush()
        self.stamp(line)

    def enter(self, file, line, name):
        if self.stack:
            self.stack[-1]["waits"] = True
        self.frames += 1
        self.stack.append({"number": self.frames, "file": file, "line": line, "waits": False})
        self.tokens.append(["c", self.frames, file, len(self.stack) - 1, line, name])
        self.counted(line)
        return self.frames

    def back_to(self, frame):
        """Calls deeper than this one are over, told or not."""
        while self.stack and self.stack[-1]["number"] != frame and any(each["number"] == frame for each in self.stack):
            self.stack.pop()
            self.go_on()

    def go_on(self):
        if self.stack:
            top = self.stack[-1]
            self.tokens.append(["r", top["number"], top["file"], len(self.stack) - 1, top["line"]])
            self.counted(top["line"])

    def leave(self, frame):
        self.back_to(frame)
        if self.stack and self.stack[-1]["number"] == frame and len(self.stack) > 1:
            self.stack.pop()
            self.go_on()

    def step(self, frame, line):
        self.back_to(frame)
        self.tokens.append(line)
        if self.stack:
            self.stack[-1]["line"] = line
        self.counted(line)

    def write(self, scope, name, shown):
        frame = self.stack[-1]["number"] if scope and self.stack else 0
        written = json.dumps(shown)
        if self.known.get((frame, name.lower())) == written:
            return
        self.known[frame, name.lower()] = written
        key = (scope, name.lower())
        if key not in self.columns:
            self.columns[key] = len(self.columns) + 1
            self.tokens.append(["d", self.columns[key], scope, name])
        self.tokens += [-self.columns[key], shown]


class Links(unohelper.Base, XInvocation2):
    """What the calls in a program's text and its boxes come to. A routine's call gives the number of its frame."""

    def __init__(self, book, recording):
        self.book, self.recording = book, recording
        self.rest, self.broken = "", b""

    def getIntrospection(self):
        return None

    def setValue(self, name, value):
        pass

    def getValue(self, name):
        return None

    def getExactName(self, name):
        return name

    def getMemberNames(self):
        return ("Enter", "Leave", "Step", "Test", "Pass", "Put", "Write", "Show", "Ask")

    def getInfo(self):
        return ()

    def getInfoForName(self, name, exact):
        found = InvocationInfo()
        found.aName, found.eMemberType = name, METHOD
        return found

    def hasMethod(self, name):
        return True

    def hasProperty(self, name):
        return False

    def invoke(self, name, given, places, values):
        try:
            return (getattr(self, name.lower())(*given), (), ())
        except BaseException:
            os.write(2, traceback.format_exc().encode("utf-8", "replace"))
            raise

    # Of recordings.
    def enter(self, file, line, name, *parameters):
        frame = self.recording.enter(int(file), int(line), name)
        for at in range(0, len(parameters), 2):
            self.recording.write(1, parameters[at], token(parameters[at + 1]))
        return frame

    def leave(self, frame):
        self.look()
        self.recording.leave(int(frame))

    def step(self, frame, line):
        self.look()
        self.recording.step(int(frame), int(line))

    def test(self, frame, line, value):
        self.step(frame, line)
        self.recording.tokens.append(["k", bool(value)])
        return value

    def put(self, *given):
        for at in range(0, len(given), 3):
            self.recording.write(int(given[at]), given[at + 1], token(given[at + 2]))

    def look(self):
        """Cells that have changed since the last step belong to it."""
        for name, shown in self.book.changes():
            self.recording.write(0, name, token(shown))

    # Of the console.
    def write(self, text, after):
        self.rest += text + ("\t" if after == 1 else "")
        if after == 2:
            self.say(self.rest)
            self.rest = ""

    def say(self, text):
        data = (text + "\n").encode("utf-8", "replace")
        while data:
            data = data[os.write(1, data):]

    def show(self, text, kind):
        self.say(self.rest + text)
        self.rest = ""
        # Which button was pressed where there are several: the first of them.
        return {0: 1, 1: 1, 2: 3, 3: 6, 4: 6, 5: 4}.get(int(kind) & 15, 1)

    def ask(self, text, given):
        data = (self.rest + text + ("" if text.endswith((" ", "\n")) else " ")).encode("utf-8", "replace")
        self.rest = ""
        os.write(1, data)
        while b"\n" not in self.broken:
            more = os.read(0, 4096)
            if not more:
                break
            self.broken += more
        line, _, self.broken = self.broken.partition(b"\n")
        answer = line.rstrip(b"\r").decode("utf-8", "replace")
        return answer if answer != "" else given


class Book:
    """The workbook that a program acts on."""

    def __init__(self, desktop, paths, watched):
        self.document = desktop.loadComponentFromURL(
            "private:factory/scalc", "_blank", 0, (setting("Hidden", True), setting("MacroExecutionMode", ALWAYS_EXECUTE_NO_WARN)))
        sheets = self.document.Sheets
        first = True
        for path in paths:
            if not path.lower().endswith(".csv"):
                continue
            title = os.path.splitext(os.path.basename(path))[0]
            if first:
                sheets.getByIndex(0).Name = title
                first = False
            else:
                sheets.insertNewByName(title, sheets.Count)
            self.fill(sheets.getByName(title), path)
        self.libraries = 0
        self.before = self.held() if watched else {}
        self.first = {(sheet["name"], cell[0]): cell for sheet in self.now() for cell in sheet["cells"]}

    def fill(self, sheet, path):
        with open(path, encoding="utf-8-sig", errors="replace", newline="") as source:
            for row, values in enumerate(csv.reader(source)):
                if row >= MOST_ROWS:
                    break
                for column, value in enumerate(values[:MOST_COLUMNS]):
                    if value != "":
                        sheet.getCellByPosition(column, row).setFormula(value)

    def sheets(self):
        return [self.document.Sheets.getByIndex(at) for at in range(min(self.document.Sheets.Count, MOST_SHEETS))]

    def used(self, sheet):
        """How many rows and columns of a sheet are used, and whether that is more than is looked at."""
        cursor = sheet.createCursor()
        cursor.gotoEndOfUsedArea(False)
        rows, columns = cursor.RangeAddress.EndRow + 1, cursor.RangeAddress.EndColumn + 1
        return min(rows, MOST_ROWS), min(columns, MOST_COLUMNS), rows > MOST_ROWS or columns > MOST_COLUMNS

    def held(self):
        """What the cells hold, by their names; those of a sheet beside the first with its name."""
        found = {}
        for at, sheet in enumerate(self.sheets()):
            rows, columns, _ = self.used(sheet)
            if rows * columns > MOST_LOOKED:
                continue
            for row, values in enumerate(sheet.getCellRangeByPosition(0, 0, columns - 1, rows - 1).DataArray):
                for column, value in enumerate(values):
                    if value is None:
                        # An error has no value.
                        value = sheet.getCellByPosition(column, row).String
                    if value != "":
                        found[("" if at == 0 else sheet.Name + ".") + place_name(column, row)] = value
        return found

    def changes(self):
        now = self.held()
        found = [(name, value) for name, value in now.items() if self.before.get(name) != value]
        found += [(name, None) for name in self.before if name not in now]
        self.before = now
        return found

    def told(self):
        """The sheets as they are, what was changed with what it showed before, as the outcome of a run has them (core/outcome/outcome.ts)."""
        told = []
        for sheet in self.now():
            cells, left = [], {place: cell for (name, place), cell in self.first.items() if name == sheet["name"]}
            for cell in sheet["cells"]:
                place, kind, shown, formula, written = cell
                found = {"at": place, "kind": kind, "shown": shown}
                if formula:
                    found["formula"] = formula
                if written:
                    found["format"] = written
                before = left.pop(place, None)
                if before != cell:
                    found["before"] = before[2] if before else ""
                cells.append(found)
            cells += [{"at": place, "kind": "empty", "shown": "", "before": cell[2]} for place, cell in left.items()]
            told.append({"name": sheet["name"], "cut": sheet["cut"], "cells": cells})
        return told

    def now(self):
        """The sheets with their cells: {name, cut, cells: [[place, kind, shown, formula, format]]}."""
        formats = self.document.NumberFormats
        told, left = [], MOST_CELLS
        for sheet in self.sheets():
            rows, columns, is_cut = self.used(sheet)
            cells = []
            for row in range(rows):
                for column in range(columns):
                    cell = sheet.getCellByPosition(column, row)
                    if cell.Type == EMPTY:
                        continue
                    if left == 0:
                        is_cut = True
                        break
                    left -= 1
                    kind = "text" if cell.Type == TEXT else "number"
                    formula = cell.Formula if cell.Type == FORMULA else ""
                    if cell.Type == FORMULA and cell.getError():
                        kind = "error"
                    elif cell.Type == FORMULA and cell.FormulaResultType2 == 2:
                        kind = "text"
                    written = formats.getByKey(cell.NumberFormat).FormatString
                    cells.append([place_name(column, row), kind, cut(cell.String), cut(formula), "" if written == "General" else written])
            told.append({"name": sheet.Name, "cut": is_cut, "cells": cells})
        return told

    def close(self):
        try:
            self.document.close(True)
        except Exception:
            pass


class Host(unohelper.Base, XJob):
    def __init__(self, context):
        self.desktop = context.ServiceManager.createInstanceWithContext("com.sun.star.frame.Desktop", context)

    def execute(self, given):
        code = 70
        try:
            order = json.loads(os.environ["BENT_NAIL_MACRO"])
            code = self.many(order["list"]) if order["mode"] == "many" else self.one(order["program"], order["mode"])
        except BaseException:
            os.write(2, traceback.format_exc().encode("utf-8", "replace"))
        finally:
            os._exit(code)

    def modules(self, program, marked=False):
        for path in program["files"]:
            if path.lower().endswith(".bas"):
                with open(program["marked"].get(path, path) if marked else path, encoding="utf-8-sig", errors="replace") as source:
                    text = source.read()
                # Within the first line, so that lines keep their numbers.
                yield path, (SUPPORT + text if program.get("compatible") and "vbasupport" not in text.lower() else text)

    def library(self, book, texts, entry, boxes=True):
        """Puts modules into a library of the workbook; gives what calls a routine of our own beside them. `boxes`: theirs are the console."""
        libraries = book.document.BasicLibraries
        standard = libraries.getByName("Standard") if libraries.hasByName("Standard") else libraries.createLibrary("Standard")
        # A library that was refused stays so for what has called it.
        book.libraries += 1
        called = "Program%d" % book.libraries
        program = libraries.createLibrary(called)
        libraries.loadLibrary(called)
        # The others first: a name is looked for in the modules that there are.
        for at, (name, text) in reversed(list(enumerate(texts))):
            lower = text.lower()
            own = OWN % book.libraries if at == 0 else ""
            own += SHOW if boxes and "msgbox" in lower else ""
            own += ASK if boxes and "inputbox" in lower else ""
            program.insertByName("Program" if at == 0 else "Module%d" % at, text.rstrip("\n") + "\n" + own)
        # Neither is a module of the same name, once it has been called; and a routine that is not found is looked for in all libraries.
        links = "Links%d" % book.libraries
        former = "Links%d" % (book.libraries - 1)
        if standard.hasByName(former):
            standard.removeByName(former)
        standard.insertByName(links, LINKS % {"library": called, "number": book.libraries, "entry": entry})
        scripts = book.document.getScriptProvider()
        return lambda routine: scripts.getScript("vnd.sun.star.script:Standard.%s.%s?language=Basic&location=document" % (links, routine))

    def is_translated(self, book, text):
        told = self.library(book, [("", text)], "Main", False)("BentNailTranslated").invoke((), (), ())[0] == "yes"
        # What is run later must find nothing of it.
        book.document.BasicLibraries.removeLibrary("Program%d" % book.libraries)
        return told

    def refusal(self, book, program):
        """The refusal of a program's modules by the smallest part that is refused, or None."""
        for name, text in self.modules(program):
            if not self.is_translated(book, text):
                return "BASIC syntax error (%s, line %d).\n" % (name, self.refused_line(book, text))
        return None

    def refused_line(self, book, text):
        """The first line with which a module is refused, whatever comes behind it: what is open there is closed."""
        lines = text.split("\n")
        low, high = 0, len(lines)
        while low + 1 < high:
            middle = (low + high) // 2
            if self.is_translated(book, closed(lines[:middle]) + headers(lines[middle:])):
                low = middle
            else:
                high = middle
        return min(high, len(lines))

    def one(self, program, mode):
        """Looks through a program, and unless it is only to be checked or is refused, runs it. Returns its exit code: 0 if it came to its end."""
        recording = Recording(int(os.environ.get("BENT_NAIL_STEPS", "20000"))) if mode == "trace" else None
        book = Book(self.desktop, [] if mode == "check" else program["files"], recording is not None)
        try:
            said = self.refusal(book, program)
            if said is not None:
                os.write(2, said.encode("utf-8"))
                return 1
            return 0 if mode == "check" else self.run(book, program, recording)
        finally:
            book.close()

    def run(self, book, program, recording):
        """Runs a program in its workbook. Returns its exit code."""
        links = Links(book, recording)
        call = self.library(book, list(self.modules(program, True)), program["entry"])
        if call("BentNailTranslated").invoke((), (), ())[0] != "yes":
            # Our calls do not fit into it: it is run as it is, without lines.
            call = self.library(book, list(self.modules(program)), program["entry"])
        found = str(call("BentNailBegin").invoke((links,), (), ())[0])
        if links.rest:
            links.say(links.rest)
        if recording is not None:
            links.look()
            recording.flush()
        code = 0
        if "|" in found:
            number, line, words = found.split("|", 2)
            if recording is not None:
                line = str(recording.line)
            os.write(2, ("BASIC runtime error (%s, line %s).\n'%s'\n%s\n" % (program["files"][0], line, number, words)).encode("utf-8", "replace"))
            code = 1
        os.write(2, RECORD + json.dumps(book.told()).encode("utf-8") + b"\n")
        return code

    def many(self, path):
        with open(path, encoding="utf-8") as source:
            programs = [json.loads(line) for line in source.read().split("\n") if line]
        os.write(62, b"ready\n")
        order = b""
        while True:
            byte = os.read(61, 1)
            if not byte:
                return 0
            if byte != b"\n":
                order += byte
                continue
            program = programs[int(order)]
            order = b""
            code = self.one(program, "run")
            components = self.desktop.Components.createEnumeration()
            left = components.hasMoreElements()
            os.write(62, b"%d %s\n" % (code, b"left" if left else b"clean"))


OPENS = {"for": "Next", "while": "Wend", "do": "Loop", "select": "End Select", "with": "End With", "sub": "End Sub", "function": "End Function",
         "type": "End Type", "enum": "End Enum"}


def closed(lines):
    """Lines of a module with an end for everything that is open behind the last one."""
    open_words = []
    for line in lines:
        code = without_texts(line.removeprefix(SUPPORT)).strip().lower()
        words = code.replace("(", " ").replace(":", " : ").split()
        while words and words[0] in ("public", "private", "static", "global"):
            words = words[1:]
        if not words:
            continue
        first = words[0]
        end = " ".join(words[:2]) if first == "end" and len(words) > 1 else first
        if end.startswith("end ") or end in ("next", "wend", "loop", "endif"):
            # One that closes something else stays as wrong as it is.
            if open_words and open_words[-1].lower() == ("end if" if end == "endif" else end):
                open_words.pop()
        elif first == "if" and words[-1] == "then":
            open_words.append("End If")
        elif first in OPENS and not (first == "function" and "=" in words[1:2]):
            # A loop whose end stands on its own line is closed.
            if not any(word in ("next", "wend", "loop") for word in words[1:]):
                open_words.append(OPENS[first])
    return "\n".join([*lines, *reversed(open_words)])


def headers(lines):
    """The routines that lines begin, empty: how a call is read depends on whether its routine is known."""
    found = []
    for line in lines:
        words = without_texts(line.removeprefix(SUPPORT)).strip().lower().split()
        while words and words[0] in ("public", "private", "static"):
            words = words[1:]
        if words and words[0] in ("sub", "function") and len(words) > 1:
            found.append("\n%s\n%s" % (line, OPENS[words[0]]))
    return "".join(found)


def without_texts(line):
    """A line without its texts and its comment."""
    kept, inside = "", False
    for sign in line:
        if sign == '"':
            inside = not inside
        elif sign == "'" and not inside:
            break
        elif not inside:
            kept += sign
    return "" if kept.strip().lower().startswith("rem ") else kept


g_ImplementationHelper = unohelper.ImplementationHelper()
g_ImplementationHelper.addImplementation(Host, "bent.nail.Host", ("bent.nail.Host",))
