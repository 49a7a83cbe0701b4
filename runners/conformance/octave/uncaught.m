1;  %> -
function last(loads)  %> last.loads=[4, 5]
  loads(3)  %> raised=error: loads(3): out of bound 2 (dimensions are 1x2)
end
deck = [4 5];  %> deck=[4, 5]
last(deck);  %> -
