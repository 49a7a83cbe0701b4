loads = [4 9 2];  %> loads=[4, 9, 2]
heavy = loads > 3;  %> heavy=[1, 1, 0]
loads(heavy) = 0;  %> loads=[0, 0, 2]
loads(end + 1) = 6;  %> loads=[0, 0, 2, 6]
some = loads(2:end);  %> some=[0, 2, 6]
count = sum(loads == 0);  %> count=2
