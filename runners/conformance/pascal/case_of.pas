program Deck;

procedure Work;  //> -
var
  tide, height: longint;
begin
  tide := 2;  //> Work.tide=2
  case tide of  //> -
    1: height := 10;
    2: height := 20;  //> Work.height=20
  else
    height := 0;
  end;
end;

begin
  Work;  //> - ; -
end.
