try
  disp("before")
  exit(7);
catch
  disp("caught")
end
