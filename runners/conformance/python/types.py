ratio = 7 / 2  #> ratio=3.5
whole = 7 // 2  #> whole=3
flag = whole == 3  #> flag=True
nothing = None  #> nothing=None
big = 2 ** 70  #> big=1180591620717411303424
small = 0.1 + 0.2  #> small=0.30000000000000004
pair = (1, "a")  #> pair=(1, 'a')
(left, right), rest = pair, 3  #> left=1 & right='a' & rest=3
left, rest = rest, left  #> left=3 & rest=1
