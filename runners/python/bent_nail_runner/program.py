"""Checks, runs or records one Python program inside the calling process. Works in any CPython, also without fork."""
import _signal
import atexit
import builtins
import gc
import io
import json
import linecache  # noqa: F401  loaded once here, as are the other modules that every fork needs
import os
import random
import re
import signal
import sys
import traceback
import types
import warnings
from sys import __excepthook__ as print_exception

from bent_nail_sandbox.block import append_frame

from .console import Console, OutputFull, open_streams
from .lines import refused_at  # noqa: F401  asked by whoever tries many variants
from .recorder import StepLimit, start_recording


DECLARES_ENCODING = re.compile(rb"^[ \t\f]*#.*?coding[:=][ \t]*[-\w.]+")


def undecodable(name, data):
    """The refusal of a file that is no UTF-8 and declares nothing else, in the translator's own words; compile() alone passes over it."""
    if any(DECLARES_ENCODING.match(line) for line in data.split(b"\n", 2)[:2]):
        return None
    try:
        data.decode("utf-8")
    except UnicodeDecodeError as problem:
        line = data.count(b"\n", 0, problem.start) + 1
        return "SyntaxError: Non-UTF-8 code starting with '\\x%02x' in file %s on line %d, but no encoding declared; see https://peps.python.org/pep-0263/ for details\n" % (
            data[problem.start], name, line)
    return None


def compile_file(name, data, problems):
    """The code object of one file, or None; what the translator says goes to `problems`."""
    with warnings.catch_warnings(record=True) as noticed:
        warnings.simplefilter("always")
        refusal = undecodable(name, data)
        if refusal is not None:
            problems.append({"severity": "error", "file": name, "line": 0, "text": refusal})
            return None
        try:
            code = compile(data, name, "exec", dont_inherit=True)
        except (SyntaxError, ValueError, OverflowError, RecursionError, MemoryError) as problem:
            code = None
            text = "".join(traceback.format_exception_only(type(problem), problem))
            problems.append({"severity": "error", "file": name, "line": getattr(problem, "lineno", None) or 0, "text": text})
    for warning in noticed:
        problems.append({"severity": "warning", "file": name, "line": warning.lineno or 0, "text": "%s: %s" % (warning.category.__name__, warning.message)})
    return code


def check(files, order):
    """Translates every program file without running a line. Returns ({name: code}, problems)."""
    problems = []
    codes = {}
    for name in order:
        if name.endswith(".py"):
            codes[name] = compile_file(name, files[name], problems)
    return codes, problems


def own_traceback(problem, own_files):
    """The problem as the translator prints it, without the frames of this runner."""
    trail = problem.__traceback__
    while trail is not None and trail.tb_frame.f_code.co_filename not in own_files:
        trail = trail.tb_next
    chained = problem.__cause__ or problem.__context__
    seen = set()
    while chained is not None and id(chained) not in seen:
        seen.add(id(chained))
        inner = chained.__traceback__
        while inner is not None and inner.tb_frame.f_code.co_filename not in own_files:
            inner = inner.tb_next
        chained.__traceback__ = inner
        chained = chained.__cause__ or chained.__context__
    # The interpreter's own hook, as it was before the program ran: only it adds "Did you mean".
    collector = io.StringIO()
    held = sys.stderr
    sys.stderr = collector
    try:
        print_exception(type(problem), problem.with_traceback(trail), trail)
    except BaseException:
        pass
    finally:
        sys.stderr = held
    try:
        return collector.getvalue() or "".join(traceback.format_exception(type(problem), problem, trail))
    except BaseException:
        return "%s: <exception str() failed>\n" % type(problem).__name__


def append_result(block, problems, code, **found):
    result = {"started": True, "stoppedBy": "none", "exit": code, "crash": "", "errorName": "", "problems": problems, "ranOut": False, "steps": 0, **found}
    append_frame(block, b"R", json.dumps(result).encode("utf-8", "backslashreplace"))


def first_refusal(problems, request):
    """The problem by which a program does not start; None if it does."""
    # A slip in another file shows where that is imported, after whatever ran before.
    return next((problem for problem in problems if problem["severity"] == "error" and (problem["file"] == request["main"] or request["mode"] == "check")), None)


def refused_by(problems, request, console):
    """True if a program does not start with these problems; console and result are written then."""
    first = first_refusal(problems, request)
    if first is None:
        return False
    console.append(b"E", first["text"].encode("utf-8", "backslashreplace"))
    append_result(console.block, problems, 1, started=False)
    return True


def refuses(request, translated, block):
    """True if a program that check() has translated does not start, which `block` tells then as run() would. `request` as for run()."""
    return refused_by(translated[1], request, Console(block, request["outputLimit"], {}))


def refused_line(request, translated):
    """The line (0: unknown) at which a program that check() has translated is refused; None if it starts."""
    problem = first_refusal(translated[1], request)
    return None if problem is None else problem["line"]




def let_go(names):
    """What an interpreter does with a program's names at its end: files that were left open get what was written to them, and objects say
    their last words (in CPython's order: names with one underscore first)."""
    for private in (True, False):
        for name in list(names):
            if name != "__builtins__" and private == (name.startswith("_") and not name.startswith("__")):
                names[name] = None
    gc.collect()


def felt():
    """What a program may change in its process that another one would feel."""
    places = [(status.st_dev, status.st_ino) for status in map(os.fstat, (0, 1, 2))]
    # As they are kept: this is asked once for every variant, and their names and texts are of no use here.
    handlers = [_signal.getsignal(number) for number in (signal.SIGINT, signal.SIGTERM, signal.SIGALRM, signal.SIGXCPU)]
    environment = dict(getattr(os.environ, "_data", ()))
    return places, handlers, sys.gettrace(), sys.getprofile(), environment, list(vars(builtins).items())


def state_of():
    """What clear_away() goes back to."""
    return list(sys.path), set(sys.modules), felt()


def clear_away(state, folder):
    """After a program that has ended: True if the next one may run in this process as if it were the first. `state` as it was before."""
    path, modules, before = state
    sys.path[:] = path
    sys.excepthook, sys.displayhook = sys.__excepthook__, sys.__displayhook__
    sys.modules.pop("__main__", None)
    atexit._clear()
    linecache.clearcache()
    for name in set(sys.modules) - modules:
        if (getattr(sys.modules[name], "__file__", None) or "").startswith(folder):
            del sys.modules[name]
    threads = sys.modules.get("threading")
    try:
        os.chdir(folder)
        return (threads is None or threads.active_count() == 1) and felt() == before
    except OSError:
        return False


def run(request, block, translated=None):
    """Runs the program of `request` and leaves console, trace and result in `block`. `translated`: what check() gave of it, if it was asked.

    request: {mode: check | run | trace, main, files: {name: bytes}, order: [name], folder, input: bytes,
    outputLimit, stepLimit, seed}. The files lie in `folder` already. Returns the exit code.
    """
    main = request["main"]
    own_files = {}
    for number, name in enumerate(request["order"]):
        own_files[name] = number
        own_files[request["folder"] + "/" + name] = number
    console = Console(block, request["outputLimit"], own_files)
    codes, problems = translated or check(request["files"], request["order"])
    if refused_by(problems, request, console):
        return 1

    def finish(code, **found):
        """What is told at the end is put together then: while the program runs there is nothing of it that it could reach and change."""
        append_result(block, problems, code, **found)
        return code

    if request["mode"] == "check":
        return finish(0, started=None)

    module = types.ModuleType("__main__")
    module.__file__ = main
    module.__builtins__ = __builtins__
    sys.modules["__main__"] = module
    sys.argv = [main]
    sys.path[0:1] = [request["folder"]]
    for name in request["order"]:
        sys.modules.pop(name.rpartition("/")[2][:-3], None)
    stdin, stdout, stderr, raw_input = open_streams(console)
    sys.stdin, sys.stdout, sys.stderr = stdin, stdout, stderr
    sys.__stdin__, sys.__stdout__, sys.__stderr__ = stdin, stdout, stderr
    random.seed(request["seed"])
    own_pid = os.getpid()

    recording = None

    def leave_at_step_limit():
        finish(1, stoppedBy="steps", steps=request["stepLimit"])
        os._exit(0)

    def leave_at_output_limit():
        """Leaves at once: a program that catches everything would otherwise go on printing into the void."""
        if recording is not None:
            sys.settrace(None)
            recording[1]()
        finish(1, stoppedBy="output")
        os._exit(0)

    console.on_full = leave_at_output_limit
    if request["mode"] == "trace":
        def soft_stop(number, frame):
            sys.settrace(None)
            if os.getpid() == own_pid:
                recording[1]()
            os._exit(0)
        try:
            signal.signal(signal.SIGXCPU, soft_stop)
        except (AttributeError, ValueError):
            pass
    exit_code = 0
    problem = None
    depth = 0
    frame = sys._getframe()
    while frame is not None:
        depth += 1
        frame = frame.f_back
    sys.setrecursionlimit(1000 + depth)
    try:
        if request["mode"] == "trace":
            recording = start_recording(console, own_files, {name: request["files"][name] for name in codes if codes[name] is not None}, request["stepLimit"], leave_at_step_limit, request.get("change"))
        exec(codes[main], module.__dict__)
    except BaseException as raised:
        problem = raised
    finally:
        if recording is not None:
            sys.settrace(None)
    if os.getpid() != own_pid:
        os._exit(0)
    sys.setrecursionlimit(3000 + depth)
    found = {"steps": recording[0]() if recording is not None else 0}
    console.on_full = None
    if isinstance(problem, SystemExit):
        code = problem.code
        if code is None or isinstance(code, int):
            exit_code = (code or 0) & 255
        else:
            exit_code = 1
            try:
                append_frame(block, b"E", (str(code) + "\n").encode("utf-8", "backslashreplace"), 0, found["steps"])
            except BaseException:
                pass
    elif isinstance(problem, OutputFull):
        found["stoppedBy"] = "output"
        exit_code = 1
    elif isinstance(problem, StepLimit):
        found["stoppedBy"] = "steps"
    elif problem is not None:
        exit_code = 1
        crash = own_traceback(problem, own_files)
        found.update(stoppedBy="memory" if isinstance(problem, MemoryError) else "fault", errorName=type(problem).__name__, crash=crash)
        append_frame(block, b"E", crash.encode("utf-8", "backslashreplace"), 0, found["steps"])
    problem = None
    try:
        if "threading" in sys.modules:
            sys.modules["threading"]._shutdown()
        atexit._run_exitfuncs()
        let_go(module.__dict__)
    except OutputFull:
        found["stoppedBy"] = "output"
    except BaseException:
        pass
    console.note_given()
    return finish(exit_code, ranOut=raw_input.ran_out, **found)
