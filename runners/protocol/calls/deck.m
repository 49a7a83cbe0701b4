1;
function weight = load_of(cars)
  weight = cars * 2;
end

function both = total(first, second)
  both = load_of(first) + load_of(second);
end

result = total(3, 4);
printf("%d\n", result);
