import os, signal
for target in (os.getppid(), 1, -1):
    for kind in (signal.SIGTERM, signal.SIGKILL):
        try:
            if target != -1:
                os.kill(target, kind)
        except OSError as problem:
            print("refused", problem.errno)
print("still here, seeing", sorted(int(name) for name in os.listdir("/proc") if name.isdigit())[:3])
