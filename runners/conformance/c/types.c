#include <stdbool.h>

enum tide { LOW, HIGH };

int main(void)  //> -
{
    double ratio = 7 / 2.0;  //> main.ratio=3.5
    float small = 0.1f;  //> main.small=0.1
    long long big = 1LL << 40;  //> main.big=1099511627776
    unsigned int whole = 0;  //> main.whole=0
    whole--;  //> main.whole=4294967295
    bool full = true;  //> main.full=true
    enum tide now = HIGH;  //> main.now=HIGH
    char end = '\0';  //> main.end='\\0'
    short load = (short)40000;  //> main.load=-25536
    return 0;  //> -
}
