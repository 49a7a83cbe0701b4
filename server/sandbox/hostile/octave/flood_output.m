while true
  disp("and again")
end
