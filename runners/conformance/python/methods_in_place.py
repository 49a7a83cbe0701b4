loads = [3, 1, 2]  #> loads=[3, 1, 2]
loads.sort()  #> loads=[1, 2, 3]
loads.reverse()  #> loads=[3, 2, 1]
loads.insert(1, 7)  #> loads=[3, 7, 2, 1]
loads[1], loads[3] = loads[3], loads[1]  #> loads=[3, 1, 2, 7]
last = loads.pop()  #> loads=[3, 1, 2] & last=7
loads.remove(1)  #> loads=[3, 2]
loads *= 2  #> loads=[3, 2, 3, 2]
