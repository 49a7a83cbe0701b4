def add(loads, load):  #> - ; add.loads=[] & add.load=1
    loads.append(load)  #> add.loads=[1]
    return loads  #> -


def wrap(loads):  #> - ; wrap.loads=[]
    inner = add(loads, 1)  #> - ; wrap.loads=[1] & wrap.inner=[1]
    inner.append(2)  #> wrap.loads=[1, 2] & wrap.inner=[1, 2]


def main():  #> - ; -
    deck = []  #> main.deck=[]
    wrap(deck)  #> - ; main.deck=[1, 2]


main()  #> - ; -
