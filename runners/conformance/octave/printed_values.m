load = 4  %> load=4 & out=load = 4\n
load = [1 2];  %> load=[1, 2]
load(2)  %> out=ans = 2\n
disp("x"), disp("y")  %> out=x\ny\n
