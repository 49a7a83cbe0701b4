def last(loads):  #> - ; last.loads=[4]
    return loads[1]  #> raised=IndexError: list index out of range


deck = [4]  #> deck=[4]
print(last(deck))  #> - ; raised=IndexError: list index out of range
