int main(void)  //> -
{
    int tide = 2;  //> main.tide=2
    int height;
    switch (tide)  //> -
    {
    case 1:
        height = 10;
        break;
    case 2:
        height = 20;  //> main.height=20
        break;  //> -
    default:
        height = 0;
    }
    return 0;  //> -
}
