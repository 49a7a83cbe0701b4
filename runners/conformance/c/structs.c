struct boat {
    int cars;
    char name[6];
};

void load(struct boat *boat, int more)  //> load.boat=boat(cars=3, name="Tern") & load.more=2
{
    boat->cars += more;  //> load.boat=boat(cars=5, name="Tern")
    boat->name[0] = 'F';  //> load.boat=boat(cars=5, name="Fern")
}

int main(void)  //> -
{
    struct boat tern = {3, "Tern"};  //> main.tern=boat(cars=3, name="Tern")
    load(&tern, 2);  //> - ; main.tern=boat(cars=5, name="Fern")
    struct boat other = tern;  //> main.other=boat(cars=5, name="Fern")
    other.cars = 1;  //> main.other=boat(cars=1, name="Fern")
    struct boat fleet[2] = {tern, other};  //> main.fleet=[boat(cars=5, name="Fern"), boat(cars=1, name="Fern")]
    fleet[1].cars = 7;  //> main.fleet=[boat(cars=5, name="Fern"), boat(cars=7, name="Fern")]
    return 0;  //> -
}
