printf("begins\n");
held = {};
while true
  held{end+1} = ones(1000, 1000);
end
