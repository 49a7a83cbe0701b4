int main(void)  //> -
{
    int deck[2][3] = {{1, 2, 3}, {4, 5, 6}};  //> main.deck=[[1, 2, 3], [4, 5, 6]]
    deck[1][0] = 9;  //> main.deck=[[1, 2, 3], [9, 5, 6]]
    deck[0][2] += deck[1][1];  //> main.deck=[[1, 2, 8], [9, 5, 6]]
    for (int row = 0; row < 2; row++)  //> main.row=0 ; main.row=1 ; main.row=2
        deck[row][1] = 0;  //> main.deck=[[1, 0, 8], [9, 5, 6]] ; main.deck=[[1, 0, 8], [9, 0, 6]]
    return 0;  //> -
}
