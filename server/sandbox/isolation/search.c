#include <stdio.h>
#include <stdlib.h>
#include <string.h>
#include <fcntl.h>
#include <unistd.h>
#include <dirent.h>
#include <sys/stat.h>

static char data[1 << 20];
static int found = 0;

/* A sign of another run, with a small letter behind it. Its own text has it only in two parts. */
static void look(long size) {
    for (long at = 0; at + 7 < size; at++)
        if (data[at] == 'K' && memcmp(data + at + 1, "q7", 2) == 0 && memcmp(data + at + 3, "Zw9-", 4) == 0 && data[at + 7] >= 'a' && data[at + 7] <= 'z') found++;
}

static void folder(const char *name) {
    DIR *all = opendir(name);
    struct dirent *entry;
    while (all && (entry = readdir(all))) {
        char path[4096];
        struct stat status;
        snprintf(path, sizeof path, "%s/%s", name, entry->d_name);
        strcpy(data, path);
        look((long)strlen(path) + 1);
        if (stat(path, &status) != 0 || !S_ISREG(status.st_mode)) continue;
        int file = open(path, O_RDONLY);
        long size = file < 0 ? 0 : read(file, data, sizeof data);
        if (size > 0) look(size);
        if (file >= 0) close(file);
    }
    if (all) closedir(all);
}

int main(void) {
    char line[4096];
    FILE *maps = fopen("/proc/self/maps", "r");
    int memory = open("/proc/self/mem", O_RDONLY);
    while (fgets(line, sizeof line, maps)) {
        unsigned long start, end;
        if (sscanf(line, "%lx-%lx r", &start, &end) != 2 || strstr(line, "[vvar") || strstr(line, "[vsyscall]")) continue;
        for (unsigned long at = start; at < end; at += sizeof data) {
            long wanted = (long)(end - at < sizeof data ? end - at : sizeof data);
            long size = pread(memory, data, wanted, (long)at);
            if (size > 0) look(size);
        }
    }
    folder("/tmp");
    folder("/dev/shm");
    folder("/case");
    folder("/proc/self/fd");
    printf("found %d\n", found);
    return 0;
}
