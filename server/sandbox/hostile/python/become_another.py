import os

if os.fork() == 0:
    os.setsid()
    if os.fork() == 0:
        os.execv("/bin/sh", ["sh", "-c", "sleep 1; echo late; while true; do :; done"])
    os._exit(0)
print("first", flush=True)
os.execv("/bin/sh", ["sh", "-c", "echo second; kill -STOP $$"])
