loads = [n * 2 for n in range(3)]  #> loads=[0, 2, 4]
big = [n for n in loads if n > 1]  #> big=[2, 4]
pairs = {n: n * n for n in big}  #> pairs={2: 4, 4: 16}
total = sum(n for n in loads)  #> total=6
grid = [[r + c for c in range(2)] for r in range(2)]  #> grid=[[0, 1], [1, 2]]
