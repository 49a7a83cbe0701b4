"""Builds many variants of a program as one, without those that the translator refuses: build_many.py FOLDER KIND NUMBERS COMMAND...

The variants are the files tN.c or tN.pas of that folder; COMMAND translates all.c or all.pas, which is made here. The program takes the
number of a variant and is that one. What the translator says of refused ones goes to standard output, every line about a file of its own.
"""
import os
import re
import subprocess
import sys

UNKNOWN = 99  # exit code of a number that is no variant's
MOST = 400  # builds, at most: each takes a variant away at least


def main_of_c(numbers):
    parts = "".join('#include "t%d.c"\n' % number for number in numbers)
    cases = "".join("case %d: return ((int (*)(int, char **))bn%d_main)(1, given);\n" % (number, number) for number in numbers)
    return parts + "int main(int count, char **given) {\nint number = 0;\nfor (char *sign = given[1]; *sign; sign++) number = number * 10 + *sign - '0';\n" \
        "given[1] = 0;\nswitch (number) {\n%s}\nreturn %d;\n}\n" % (cases, UNKNOWN)


def main_of_pascal(numbers):
    uses = "uses %s;\n" % ", ".join("t%d" % number for number in numbers) if numbers else ""
    cases = "".join("%d: bn%d_go;\n" % (number, number) for number in numbers)
    choice = "case number of\n%selse halt(%d) end" % (cases, UNKNOWN) if numbers else "halt(%d)" % UNKNOWN
    return "program all;\n%svar number, bad: integer;\nbegin\nval(paramstr(1), number, bad);\n%s\nend.\n" % (uses, choice)


KINDS = {
    "c": (main_of_c, re.compile(r"^(?:\./)?t(\d+)\.c:\d+(?::\d+)?: (?:fatal )?error:", re.M)),
    "pas": (main_of_pascal, re.compile(r"^t(\d+)\.pas\(\d+(?:,\d+)?\) (?:Error|Fatal):", re.M)),
}


def main(folder, kind, numbers, *command):
    os.chdir(folder)
    write, pattern = KINDS[kind]
    left = [int(number) for number in numbers.split(",")]
    for _ in range(MOST):
        with open("all." + kind, "w") as target:
            target.write(write(left))
        done = subprocess.run(command, stdout=subprocess.PIPE, stderr=subprocess.STDOUT)
        if done.returncode == 0:
            return 0
        said = done.stdout.decode("utf-8", "replace")
        refused = {int(number) for number in pattern.findall(said)} & set(left)
        print(said, flush=True)
        if not refused:
            return 1
        left = [number for number in left if number not in refused]
    return 1


sys.exit(main(*sys.argv[1:]))
