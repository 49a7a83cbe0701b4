"""The block of memory in which a run leaves what it did.

Whoever holds the block can read it even if the program was killed. Layout, little endian:

    bytes 0-3   length in use, counting these four bytes
    then frames: kind (1 byte), line (u32, 0 = unknown), step (u32, 0 = none, else index + 1),
                 length (u32), that many bytes

Kinds: O out, E err, I in (a line of input the program was given), M what a translator said, T a chunk of
the trace (JSON), F files that the run left (JSON), B the program that was built, R the result (JSON),
W what went wrong with the sandbox itself.
"""
import struct

HEADER = struct.Struct("<cIII")
LENGTH = struct.Struct("<I")
RESULT_ROOM = 1 << 20


def start_block(block):
    LENGTH.pack_into(block, 0, 4)


def append_frame(block, kind, data, line=0, step=0):
    """Adds one frame and returns True, or False if the block is full. The end is kept free for the result."""
    used = LENGTH.unpack_from(block, 0)[0]
    end = used + HEADER.size + len(data)
    if end > len(block) - (0 if kind == b"R" else RESULT_ROOM):
        return False
    HEADER.pack_into(block, used, kind, line, step, len(data))
    block[used + HEADER.size:end] = data
    LENGTH.pack_into(block, 0, end)
    return True
