1;  %> -
function number = next_of()  %> - ; -
  persistent count = 0;  %> next_of.count=0 ; next_of.count=1
  count++;  %> next_of.count=1 ; next_of.count=2
  number = count;  %> next_of.number=1 ; next_of.number=2
end
first = next_of();  %> - ; first=1
second = next_of();  %> - ; second=2
