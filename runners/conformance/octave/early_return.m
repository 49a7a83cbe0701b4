1;  %> -
function place = find_load(loads, wanted)  %> find_load.loads=[3, 5, 7] & find_load.wanted=5
  place = -1;  %> find_load.place=-1
  for at = 1:numel(loads)  %> find_load.at=1 ; find_load.at=2
    if loads(at) == wanted  %> - ; -
      place = at;  %> find_load.place=2
      return;  %> -
    end
  end
end
found = find_load([3 5 7], 5);  %> - ; found=2
