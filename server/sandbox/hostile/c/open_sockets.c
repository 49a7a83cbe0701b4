#include <arpa/inet.h>
#include <stdio.h>
#include <sys/socket.h>
int main(void) {
    const char *addresses[] = { "127.0.0.1", "10.0.0.1", "192.0.2.1" };
    for (int i = 0; i < 3; i++) {
        struct sockaddr_in to = { .sin_family = AF_INET, .sin_port = htons(22) };
        inet_pton(AF_INET, addresses[i], &to.sin_addr);
        int s = socket(AF_INET, SOCK_STREAM, 0);
        puts(connect(s, (struct sockaddr *)&to, sizeof to) == 0 ? "reached" : "refused");
    }
}
