deck = [1 2; 3 4];  %> deck=[1 2; 3 4]
deck(2, 1) = 9;  %> deck=[1 2; 9 4]
row = deck(1, :);  %> row=[1, 2]
row(end) = 7;  %> row=[1, 7]
column = deck(:, 2);  %> column=[2; 4]
deck = deck';  %> deck=[1 9; 2 4]
deck(1, :) = [];  %> deck=[2, 4]
empty = [];  %> empty=[](0x0)
empty(3) = 5;  %> empty=[0, 0, 5]
