import sys
total = 0
for line in sys.stdin:
    total += len(line)
print(total)
