def fill(loads, count):  #> - ; fill.loads=[] & fill.count=2
    for car in range(count):  #> fill.car=0 ; fill.car=1 ; -
        loads.append(car)  #> fill.loads=[0] ; fill.loads=[0, 1]


def sail():  #> - ; -
    deck = []  #> sail.deck=[]
    fill(deck, 2)  #> - ; sail.deck=[0, 1]
    print(deck)  #> out=[0, 1]\n


sail()  #> - ; -
