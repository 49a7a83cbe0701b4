1;  %> -
function [low, high] = bounds(loads)  %> bounds.loads=[4, 1, 9]
  low = min(loads);  %> bounds.low=1
  high = max(loads);  %> bounds.high=9
end
[first, last] = bounds([4 1 9]);  %> - ; first=1 & last=9
[~, place] = max([2 8]);  %> place=2
