def find(loads, wanted):  #> - ; find.loads=[3, 5, 7] & find.wanted=5
    for place, load in enumerate(loads):  #> find.place=0 & find.load=3 ; find.place=1 & find.load=5
        if load == wanted:  #> - ; -
            return place  #> -
    return -1


at = find([3, 5, 7], 5)  #> - ; at=1
