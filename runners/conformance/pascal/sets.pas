program Deck;
type
  TTide = (Low, Mid, High);

procedure Work;  //> -
var
  tides: set of TTide;
  letters: set of char;
begin
  tides := [Low];  //> Work.tides=[Low]
  tides := tides + [High];  //> Work.tides=[Low, High]
  letters := ['a', 'c'];  //> Work.letters=['a', 'c']
  exclude(letters, 'a');  //> Work.letters=['c']
end;

begin
  Work;  //> - ; -
end.
