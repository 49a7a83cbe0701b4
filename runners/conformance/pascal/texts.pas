program Deck;

procedure Work;  //> -
var
  ship: string;
  letter: char;
  whole: ansistring;
begin
  ship := 'Tern';  //> Work.ship='Tern' & Work.whole=''
  ship := ship + '''s';  //> Work.ship='Tern''s'
  letter := ship[2];  //> Work.letter='e'
  ship[1] := 'F';  //> Work.ship='Fern''s'
  whole := 'Auk';  //> Work.whole='Auk'
  whole := whole + letter;  //> Work.whole='Auke'
  delete(ship, 5, 2);  //> Work.ship='Fern'
end;

begin
  Work;  //> - ; -
end.
