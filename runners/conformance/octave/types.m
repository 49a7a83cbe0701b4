ratio = 7 / 2;  %> ratio=3.5
third = 1 / 3;  %> third=0.3333
full = ratio > 3;  %> full=1
whole = int8(200);  %> whole=127
big = 2 ^ 40;  %> big=1099511627776
none = NaN;  %> none=NaN
far = -1 / 0;  %> far=-Inf
two = complex(1, 2);  %> two=1+2i
