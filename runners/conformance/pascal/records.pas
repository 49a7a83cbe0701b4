program Deck;
type
  TBoat = record
    cars: longint;
    name: string[8];
  end;

procedure Load(var boat: TBoat; more: longint);  //> Load.boat=TBOAT(CARS=3, NAME='Tern') & Load.more=2
begin
  boat.cars := boat.cars + more;  //> Load.boat=TBOAT(CARS=5, NAME='Tern')
end;

procedure Work;  //> -
var
  tern, other: TBoat;
begin
  tern.cars := 3;
  tern.name := 'Tern';  //> Work.tern=TBOAT(CARS=3, NAME='Tern')
  Load(tern, 2);  //> - ; Work.tern=TBOAT(CARS=5, NAME='Tern')
  other := tern;  //> Work.other=TBOAT(CARS=5, NAME='Tern')
  with other do  //> -
    cars := 1;  //> Work.other=TBOAT(CARS=1, NAME='Tern')
end;

begin
  Work;  //> - ; -
end.
