import os
while True:
    os.write(1, b"kittiwake " * 100)
