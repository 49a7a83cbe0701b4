"""What changed inside an object since it was last looked at: element by element, told by identity and never by the student's own methods."""
from itertools import compress
from operator import is_, is_not

from .values import ITEM_LIMIT

MISSING = object()
MOST_BEHIND = 3  # changes behind the items that are recorded: so many are told, the last ones
GONE = ["-"]


def object_changes(values, entry, emit):
    """Compares a tracked object with what it held before and emits the differences."""
    value, number, shape, before = entry
    after = values.contents(value)[1]
    entry[3] = after
    kind = type(value).__name__
    if shape == "s":
        emit(["o", number, [], [kind, None, number, values.items("s", after, 1), "s"]])
        return
    if shape == "l":
        shorter = min(len(before), len(after), ITEM_LIMIT)
        changed = list(compress(range(shorter), map(is_not, before, after)))
        if len(changed) > 4 and len(changed) * 2 > len(after):
            whole = [kind, None, number, values.items("l", after, 1), "l"]
            if len(after) > ITEM_LIMIT:
                whole.append(len(after))
            emit(["o", number, [], whole])
            return
        for i in changed:
            emit(["o", number, [i], values.token(after[i], 1)])
        for i in range(len(before), min(len(after), ITEM_LIMIT)):
            emit(["o", number, [i], values.token(after[i], 1)])
        for i in range(min(len(before), ITEM_LIMIT) - 1, len(after) - 1, -1):
            emit(["o", number, [i], GONE])
        if len(after) != len(before) and max(len(after), len(before)) > ITEM_LIMIT:
            emit(["o", number, ["length"], len(after)])
        if len(after) > ITEM_LIMIT:
            behind = [i for i in range(ITEM_LIMIT, len(after)) if i >= len(before) or before[i] is not after[i]]
            for i in behind[-MOST_BEHIND:]:
                emit(["o", number, [i], values.token(after[i], 1)])
        return
    as_text = values.key_text if shape == "d" else str
    for key in before:
        if key not in after:
            emit(["o", number, [as_text(key)], GONE])
    if shape == "d" and len(after) > ITEM_LIMIT and len(after) != len(before):
        emit(["o", number, ["length"], len(after)])
    told = 0
    for position, key in enumerate(after):
        if told == MOST_BEHIND:
            break
        if before.get(key, MISSING) is not after[key]:
            emit(["o", number, [as_text(key)], values.token(after[key], 1)])
            told += position >= ITEM_LIMIT


def is_same(values, entry):
    """True when a tracked object still holds the very same elements."""
    value, _, shape, before = entry
    if shape == "l" and type(value) is list:
        return len(value) == len(before) and all(map(is_, value, before))
    if shape == "d":
        return len(value) == len(before) and all(map(is_, dict.values(value), before.values())) and all(map(is_, dict.keys(value), before))
    if shape == "o":
        after = values.fields(value)
        return len(after) == len(before) and all(map(is_, after.values(), before.values())) and after.keys() == before.keys()
    after = values.contents(value)[1]
    return len(after) == len(before) and all(map(is_, after, before))


def check_object(values, entry, emit):
    """Emits what changed inside a tracked object, if anything did."""
    if entry[2] != "o":
        if not is_same(values, entry):
            object_changes(values, entry, emit)
        return
    before = entry[3]
    after = values.fields(entry[0])
    changed = False
    for key, value in after.items():
        if before.get(key, MISSING) is not value:
            changed = True
            emit(["o", entry[1], [key], values.token(value, 1)])
    if len(before) + (1 if changed else 0) > len(after):
        for key in before:
            if key not in after:
                changed = True
                emit(["o", entry[1], [key], GONE])
    if changed:
        entry[3] = dict(after)
