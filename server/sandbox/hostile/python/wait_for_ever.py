import threading

print("waits", flush=True)
threading.Event().wait()
