"""Programs of our own with planted faults: each base program is changed in one place at a time, in a fixed order."""

import re

BASES = {
    "python": [
        ("deck.py", 'loads = [4, 9, 12, 7]\nlimit = 20\n\n\ndef total(values, first):\n    sum_so_far = 0\n    for value in values[first:]:\n        sum_so_far = sum_so_far + value\n    return sum_so_far\n\n\n# the lorries come last\nif total(loads, 0) > limit:\n    print("Too heavy by", total(loads, 0) - limit)\nelse:\n    print("Fine", loads[len(loads) - 1])\nname = "Kittiwake"\nprint(name.upper() + " " + str(int("35") // len(loads)))\n'),
        ("tides.py", 'heights = {"Tern Bay": 3.2, "Gull Quay": 2.8}\nharbour = "Tern Bay"\nlowest = 9.9\nfor place in heights:\n    if heights[place] < lowest:\n        lowest = heights[place]\nprint("Lowest", lowest)\nminutes = [int(text) for text in "35 40 55".split()]\nwhile len(minutes) > 1:\n    last = minutes.pop()\n    print(last, minutes[0], sum(minutes) / len(minutes))\nprint(f"{harbour}: {heights[harbour]:.1f} m")\n'),
    ],
    "java": [
        ("Deck.java", 'import java.util.ArrayList;\n\npublic class Deck {\n    static int limit = 20;\n\n    static int total(int[] values, int first) {\n        int sum = 0;\n        for (int i = first; i < values.length; i++) {\n            sum = sum + values[i];\n        }\n        return sum;\n    }\n\n    public static void main(String[] args) {\n        int[] loads = {4, 9, 12, 7};\n        String name = "Kittiwake";\n        ArrayList<String> boats = new ArrayList<>();\n        boats.add(name);\n        if (total(loads, 0) > limit) {\n            System.out.println("Too heavy by " + (total(loads, 0) - limit));\n        } else {\n            System.out.println("Fine");\n        }\n        System.out.println(boats.get(0).length() + Integer.parseInt("35") / loads[3]);\n    }\n}\n'),
    ],
    "c": [
        ("deck.c", '#include <stdio.h>\n#include <string.h>\n\n#define PLACES 4\n\nint limit = 20;\n\nint total(int values[], int count)\n{\n    int sum = 0;\n    for (int i = 0; i < count; i++) {\n        sum = sum + values[i];\n    }\n    return sum;\n}\n\nint main(void)\n{\n    int loads[PLACES] = {4, 9, 12, 7};\n    char name[20] = "Kittiwake";\n    double share = 1.5;\n    if (total(loads, PLACES) > limit) {\n        printf("Too heavy by %d\\n", total(loads, PLACES) - limit);\n    } else {\n        printf("Fine\\n");\n    }\n    printf("%s %d %.1f\\n", name, (int) strlen(name), share);\n    return 0;\n}\n'),
    ],
    "csharp": [
        ("Deck.cs", 'using System;\nusing System.Collections.Generic;\n\nclass Deck\n{\n    static int limit = 20;\n\n    static int Total(int[] values, int first)\n    {\n        int sum = 0;\n        for (int i = first; i < values.Length; i++)\n        {\n            sum = sum + values[i];\n        }\n        return sum;\n    }\n\n    static void Main()\n    {\n        int[] loads = {4, 9, 12, 7};\n        string name = "Kittiwake";\n        var boats = new List<string>();\n        boats.Add(name);\n        if (Total(loads, 0) > limit)\n        {\n            Console.WriteLine("Too heavy by " + (Total(loads, 0) - limit));\n        }\n        Console.WriteLine(boats[0].Length + int.Parse("35") / loads[3]);\n    }\n}\n'),
    ],
    "pascal": [
        ("deck.pas", "program Deck;\nuses SysUtils;\nconst\n  Places = 4;\nvar\n  loads: array[1..Places] of integer;\n  name: string;\n  index, limit: integer;\n\nfunction Total(count: integer): integer;\nvar\n  sum, place: integer;\nbegin\n  sum := 0;\n  for place := 1 to count do\n    sum := sum + loads[place];\n  Total := sum;\nend;\n\nbegin\n  limit := 20;\n  name := 'Kittiwake';\n  for index := 1 to Places do\n    loads[index] := index * 3;\n  { the lorries come last }\n  if Total(Places) > limit then\n    writeln('Too heavy by ', Total(Places) - limit)\n  else\n    writeln('Fine');\n  writeln(name, ' ', StrToInt('35') div loads[2]);\nend.\n"),
    ],
    "octave": [
        ("deck.m", "1;\nfunction sum_so_far = total(values, first)\n  sum_so_far = 0;\n  for place = first:numel(values)\n    sum_so_far = sum_so_far + values(place);\n  end\nend\nloads = [4, 9, 12, 7];\nlimit = 20;\n% the lorries come last\nif total(loads, 1) > limit\n  printf('Too heavy by %d\\n', total(loads, 1) - limit);\nelse\n  disp('Fine');\nend\nname = 'Kittiwake';\nmatrix = [1, 2; 3, 4];\ndisp([upper(name), ' ', num2str(loads(3) / matrix(2, 1))]);\nwhile limit > 18\n  limit = limit - 1;\nend\n"),
    ],
}

# Faults that stop a run, by language: a line of the base, what stands there instead, and the line that must be told.
STOPS = {
    "python": [
        "loads = [4, 9]\nprint(loads[2])\n",
        "print(undefined_boat)\n",
        "cars = 0\n\n\ndef share(load):\n    return load / cars\n\n\nprint(share(12))\n",
        'fares = {"child": 6}\nprint(fares["senior"])\n',
        'age = int("twelve")\n',
        'name = None\nprint(name.upper())\n',
        'total = 4 + "9"\n',
        'def sail(n):\n    return sail(n + 1)\n\n\nsail(0)\n',
        'import tide_tables\n',
        'with open("absent.txt") as file:\n    print(file.read())\n',
        'class DeckError(Exception):\n    pass\n\n\ndef check(load):\n    if load > 20:\n        raise DeckError("too heavy: " + str(load))\n\n\ncheck(32)\n',
        'def load():\n    try:\n        int("x")\n    except ValueError:\n        return undefined_name\n\n\nload()\n',
        'def load():\n    try:\n        int("x")\n    except ValueError as problem:\n        raise RuntimeError("bad deck") from problem\n\n\nprint("Deck")\nload()\n',
        'def f():\n    count += 1\n\n\nf()\n',
        'print("Cars", 3)\nassert 4 > 9, "the tide is low"\n',
        'import math\nprint(math.sqrt(-4))\n',
        'a, b = [1, 2, 3]\n',
        'print(len(5))\n',
        'deck = [\n    4,\n    9,\n]\nresult = (deck[0] +\n          deck[7])\n',
        'def fare(age, boat):\n    return age\n\n\nprint(fare(4))\n',
        'print("Fähre", [1][3])\n',
        'loads = (1, 2)\nloads[0] = 5\n',
    ],
}


def variants(text, keywords):
    """Every changed text with one planted fault, in order of place and kind."""
    found = []
    for match in re.finditer(r"[;)\]}(\[{\"':,]", text):
        found.append(("without " + match.group(), text[: match.start()] + text[match.end() :]))
    for match in re.finditer(r"\b[A-Za-z_]\w{2,}\b", text):
        word = match.group()
        found.append(("misspelt " + word, text[: match.start()] + word[:-2] + word[-1] + word[-2] + text[match.end() :]))
    for match in re.finditer(r" (=|:=|\+|-|>|<|/|\*) ", text):
        found.append(("doubled " + match.group(1), text[: match.end(1)] + " " + match.group(1) + text[match.end(1) :]))
        found.append(("without " + match.group(1), text[: match.start(1)] + text[match.end(1) :]))
    for match in re.finditer(r"[)}\]]", text):
        found.append(("twice " + match.group(), text[: match.end()] + match.group() + text[match.end() :]))
    for match in re.finditer(r"\n( +)(?=\S)", text):
        found.append(("moved in", text[: match.end()] + "   " + text[match.end() :]))
        found.append(("moved out", text[: match.start(1)] + text[match.end(1) :]))
    for match in re.finditer(r"\b\d+\b", text):
        found.append(("text for number", text[: match.start()] + '"' + match.group() + '"' + text[match.end() :]))
    found.sort(key=lambda each: each[0])
    return [each for each in found if each[1] != text]


def spread(items, count):
    """`count` of the items at even distances."""
    if len(items) <= count:
        return items
    return [items[index * len(items) // count] for index in range(count)]
