bag = {1, "a"};  %> bag={1, "a"}
bag{2} = [4 5];  %> bag={1, [4, 5]}
bag(1) = [];  %> bag={[4, 5]}
inner = bag{1};  %> inner=[4, 5]
none = {};  %> none={}
