loads = [1, 2, 3, 4, 5]  #> loads=[1, 2, 3, 4, 5]
part = loads[1:4]  #> part=[2, 3, 4]
loads[0:2] = [9]  #> loads=[9, 3, 4, 5]
del loads[1]  #> loads=[9, 4, 5]
loads[::2] = [0, 0]  #> loads=[0, 4, 0]
name = "kittiwake"[2:5]  #> name='tti'
