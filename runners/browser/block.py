"""The sink of a run in a browser: stands where a run on the server has its block of memory (runners/sandbox/bent_nail_sandbox/block.py).

Here `block` is a function of the page's worker that takes (kind, line, step, bytes), with the kinds, lines and steps of that block. A frame is
handed on when it is written, so nothing that was told is lost when the worker is ended.
"""
from pyodide.ffi import to_js


def start_block(block):
    """Nothing is to be made ready."""


def append_frame(block, kind, data, line=0, step=0):
    """Hands on one frame and returns True: there is always room."""
    block(kind.decode(), line, step, to_js(data))
    return True
