int count = 0;
int log_of[2];

void board(int name)  //> board.name=7 ; board.name=8
{
    log_of[count] = name;  //> log_of=[7, 0] ; log_of=[7, 8]
    count++;  //> count=1 ; count=2
}

int main(void)  //> count=0 & log_of=[0, 0]
{
    board(7);  //> - ; -
    board(8);  //> - ; -
    return 0;  //> -
}
