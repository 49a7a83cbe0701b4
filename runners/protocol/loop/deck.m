cars = 0;
weight = 1;
while cars < 4
  cars = cars + 1;
  if mod(cars, 2) == 0
    weight = weight * cars;
  end
end
printf("%d %d\n", cars, weight);
