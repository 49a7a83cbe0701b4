"""The wall time of a job, less the time in which it was ready to run and others had the processors.

A program that a slow or busy machine holds up is no program that hangs. A moment counts if some thread of the job ran in it, or if none was
ready to. The kernel counts for each thread how long it was ready without a processor (/proc/PID/schedstat, second field, nanoseconds), and
how long the processors themselves were away, since the machine is a virtual one beside others (/proc/stat, "steal", ticks); where it does
not, every moment counts.
"""
import os

TICKS = os.sysconf("SC_CLK_TCK")
PROCESSORS = os.cpu_count() or 1
EVERY = 0.1  # seconds between two looks at the threads
MOST = 20  # times its wall time limit after which a job ends, whoever had the processors


def delay_of(processes):
    """Seconds for which the threads of these processes have been ready to run and had no processor, all together."""
    nanoseconds = 0
    for pid in processes:
        try:
            for thread in os.listdir("/proc/%d/task" % pid):
                with open("/proc/%d/task/%s/schedstat" % (pid, thread), "rb") as source:
                    nanoseconds += int(source.read().split()[1])
        except (OSError, ValueError, IndexError):
            continue
    return nanoseconds / 1e9


def stolen():
    """Seconds for which each of the processors was away since the machine began, on the average."""
    try:
        with open("/proc/stat", "rb") as source:
            ticks = int(source.readline().split()[8])
    except (OSError, ValueError, IndexError):
        return 0.0
    return ticks / TICKS / PROCESSORS


class OwnTime:
    """Counts from `now` (seconds of the monotonic clock) on, for a job that has had `cpu` seconds of the processors by then."""

    def __init__(self, now, cpu):
        self.began = self.at = now
        self.cpu_before = self.cpu = cpu
        self.delay = self.waited = self.waits = self.held_up = self.away = 0.0
        self.stolen = stolen()

    def look(self, now, cpu, processes):
        """To be called again and again with all CPU seconds so far and the job's processes, {pid: fields of its stat from the state on}."""
        if now - self.at < EVERY:
            return
        delay = delay_of(processes)
        # A thread's wait is counted by the kernel when it is over; one that is not over yet is seen by this: ready, and nothing done.
        ready = any(fields[0] == b"R" for fields in processes.values())
        self.waits = self.waits + now - self.at if ready and cpu == self.cpu and delay <= self.delay else 0.0
        self.waited += max(0.0, delay - self.delay)
        away = stolen()
        if ready or cpu > self.cpu:
            self.away += max(0.0, away - self.stolen)
        # Threads that waited beside one another, or while another one ran, did not hold the job up more than once.
        self.held_up = min(max(0.0, now - self.began - (cpu - self.cpu_before)), self.waited + self.waits + self.away)
        self.at, self.cpu, self.delay, self.stolen = now, cpu, delay, away

    def is_over(self, now, seconds):
        """Whether the job has had `seconds` of wall time of its own."""
        passed = now - self.began
        return passed > seconds * MOST or passed - self.held_up > seconds
