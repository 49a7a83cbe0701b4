1;  %> -
function y = inner(x)  %> inner.x=3
  y = x + 1;  %> inner.y=4
end
function y = outer(x)  %> outer.x=2
  y = inner(x + 1);  %> - ; outer.y=4
  y = y * 2;  %> outer.y=8
end
z = outer(2);  %> - ; z=8
