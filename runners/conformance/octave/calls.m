1;  %> -
function weight = load_of(cars)  %> load_of.cars=3 ; load_of.cars=4
  weight = cars * 2;  %> load_of.weight=6 ; load_of.weight=8
end
both = load_of(3) + load_of(4);  %> - ; - ; both=14
printf("%d\n", both);  %> out=14\n
