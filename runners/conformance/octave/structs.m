boat.cars = 3;  %> boat=struct(cars=3)
boat.name = "Tern";  %> boat=struct(cars=3, name="Tern")
boat.cars += 2;  %> boat=struct(cars=5, name="Tern")
other = boat;  %> other=struct(cars=5, name="Tern")
other.cars = 1;  %> other=struct(cars=1, name="Tern")
fleet(1).cars = 2;  %> fleet=struct(cars=2)
fleet(2).cars = 7;  %> fleet=[struct(cars=2), struct(cars=7)]
fleet(1).cars = 4;  %> fleet=[struct(cars=4), struct(cars=7)]
