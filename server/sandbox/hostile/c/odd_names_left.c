#include <fcntl.h>
#include <stdio.h>
#include <sys/stat.h>
#include <unistd.h>
int main(void) {
    mkfifo("pipe", 0600);
    if (symlink("loop", "loop") || symlink("/proc/1/mem", "link")) return 1;
    close(open("\xff\xfe", O_CREAT | O_WRONLY, 0));
    close(open("two\nlines", O_CREAT | O_WRONLY, 0600));
    rename("program.c", "gone.c");
    mkdir("program.c", 0);
    puts("left");
}
