import socket
for address in (("127.0.0.1", 4317), ("127.0.0.1", 22), ("10.0.0.1", 80), ("192.0.2.1", 80)):
    try:
        socket.create_connection(address, timeout=0.5)
        print("reached", address)
    except OSError as problem:
        print("refused")
