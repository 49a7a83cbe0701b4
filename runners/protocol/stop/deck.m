1;
function part = share(weight, boats)
  if boats == 0
    error("no boats");
  end
  part = weight / boats;
end

first = share(8, 2);
printf("%d\n", first);
second = share(8, 0);
printf("%d\n", second);
