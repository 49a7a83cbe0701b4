count = 0  #> count=0
names = []  #> names=[]


def board(name):  #> - ; board.name='Auk' ; board.name='Gull'
    global count  
    count += 1  #> count=1 ; count=2
    names.append(name)  #> names=['Auk'] ; names=['Auk', 'Gull']


board("Auk")  #> - ; -
board("Gull")  #> - ; -
