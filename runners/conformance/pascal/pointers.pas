program Deck;
type
  PNode = ^TNode;
  TNode = record
    load: longint;
    next: PNode;
  end;

procedure Work;  //> -
var
  last: TNode;
  first: PNode;
begin
  last.load := 4;  //> Work.last=TNode(load=4, next=?)
  last.next := nil;  //> Work.last=TNode(load=4, next=nil)
  first := @last;  //> Work.first=TNode(load=4, next=nil)
  first^.load := 5;  //> Work.first=TNode(load=5, next=nil) & Work.last=TNode(load=5, next=nil)
  first := nil;  //> Work.first=nil
end;

begin
  Work;  //> - ; -
end.
