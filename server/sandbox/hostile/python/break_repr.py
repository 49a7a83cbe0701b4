class Boat:
    def __init__(self, name):
        self.name = name
        self.me = self
    def __repr__(self):
        raise ValueError("no")
    __str__ = __repr__
    def __eq__(self, other):
        raise ValueError("no")
    __hash__ = None
    def __getattribute__(self, name):
        if name == "load":
            raise KeyError("no")
        return object.__getattribute__(self, name)
class Flood(Exception):
    def __str__(self):
        raise SystemExit(9)
boat = Boat("Tern")
boats = [boat, boat]
boats.append(boats)
huge = 10 ** 5000
long = "x" * 1000000
nested = []
for _ in range(500):
    nested = [nested]
try:
    raise Flood()
except Flood:
    pass
print("fine")
