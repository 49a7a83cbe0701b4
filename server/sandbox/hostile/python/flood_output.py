while True:
    print("kittiwake " * 100)
