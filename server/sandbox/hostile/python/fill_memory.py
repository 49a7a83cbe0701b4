print("begins")
blocks = []
while True:
    blocks.append(bytearray(1024 * 1024))
