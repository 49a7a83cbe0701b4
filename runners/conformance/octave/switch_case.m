tide = 2;  %> tide=2
switch tide  %> -
  case 1
    height = 10;
  case {2, 3}
    height = 20;  %> height=20
  otherwise
    height = 0;
end
switch "Gull"  %> -
  case "Tern"
    height = 1;
  otherwise
    height = 2;  %> height=2
end
