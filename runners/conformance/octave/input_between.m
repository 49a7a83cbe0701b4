cars = input("Cars? ");  %> cars=4 & in=4 & out=Cars?\s
while cars > 3  %> - ; -
  cars = input("Less: ");  %> cars=1 & in=1 & out=Less:\s
end
disp(cars);  %> out=1\n
