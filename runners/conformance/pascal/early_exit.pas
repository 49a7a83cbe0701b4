program Deck;

function Find(wanted: longint): longint;  //> Find.wanted=2
var
  place: longint;
begin
  Find := -1;  //> Find.Find=-1
  for place := 1 to 9 do  //> Find.place=1 ; Find.place=2
    if place = wanted then  //> - ; -
      exit(place);  //> Find.Find=2
end;

var
  at: longint;
begin
  at := Find(2);  //> - ; at=2
end.
