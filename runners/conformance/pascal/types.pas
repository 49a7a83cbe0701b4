program Deck;
type
  TTide = (Low, High);

procedure Work;  //> -
var
  ratio: real;
  whole: byte;
  full: boolean;
  big: int64;
  now: TTide;
  small: shortint;
begin
  ratio := 7 / 2;  //> Work.ratio=3.5
  whole := 200;  //> Work.whole=200
  full := ratio > 3;  //> Work.full=true
  big := int64(1) shl 40;  //> Work.big=1099511627776
  now := High;  //> Work.now=High
  small := -7;  //> Work.small=-7
end;

begin
  Work;  //> - ; -
end.
