cars = input("Cars? ");
weight = cars * 2;
printf("Load %d\n", weight);
