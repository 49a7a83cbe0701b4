program Deck;

function Climb(step: longint): longint;  //> Climb.step=2 ; Climb.step=1 ; Climb.step=0
var
  below: longint;
begin
  if step = 0 then  //> - ; - ; -
    Climb := 1  //> Climb.Climb=1
  else
  begin
    below := Climb(step - 1);  //> - ; - ; Climb.below=1 & Climb.step=1 ; Climb.below=2 & Climb.step=2
    Climb := below * 2;  //> Climb.Climb=2 ; Climb.Climb=4
  end;
end;

var
  top: longint;
begin
  top := Climb(2);  //> - ; top=4
end.
