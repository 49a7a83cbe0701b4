#include <dirent.h>
#include <stdio.h>
#include <stdlib.h>
#include <unistd.h>
int main(void) {
    const char *places[] = { "/tmp/left_behind", "/case/left_behind", "/dev/shm/left_behind" };
    int found = 0, others = 0;
    for (int i = 0; i < 3; i++) found += access(places[i], F_OK) == 0;
    DIR *all = opendir("/proc");
    for (struct dirent *each; (each = readdir(all));) others += atoi(each->d_name) > 0;
    printf("found %d others %d\n", found, others - 2);
}
