def tides():  #> - ; -
    height = 1  #> tides.height=1
    while height < 3:  #> - ; - ; -
        yield height  #> - ; - ; - ; -
        height += 1  #> tides.height=2 ; tides.height=3


for tide in tides():  #> - ; tide=1 ; - ; tide=2 ; - ; -
    print(tide)  #> out=1\n ; out=2\n
