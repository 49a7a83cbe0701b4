1;  %> -
function total = heavier(loads)  %> heavier.loads=[1, 2]
  loads(1) = 9;  %> heavier.loads=[9, 2]
  total = sum(loads);  %> heavier.total=11
end
deck = [1 2];  %> deck=[1, 2]
total = heavier(deck);  %> - ; total=11
