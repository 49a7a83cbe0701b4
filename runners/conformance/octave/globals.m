1;  %> -
function board(name)  %> board.name=7 ; board.name=8
  global count names  %> - ; -
  count = count + 1;  %> count=1 ; count=2
  names(end + 1) = name;  %> names=7 ; names=[7, 8]
end
global count names  %> count=[](0x0) & names=[](0x0)
count = 0;  %> count=0
board(7);  %> - ; -
board(8);  %> - ; -
count = count + 1;  %> count=3
