for count = 1:120
  mkdir ("d");
  cd ("d");
end
disp ("left")
