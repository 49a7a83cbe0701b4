1;
function result = deeper (level)
  result = deeper (level + 1) + 1;
end
disp ("begins")
deeper (0)
