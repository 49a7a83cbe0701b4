ship = "Tern"  #> ship='Tern'
ship += "'s deck"  #> ship="Tern's deck"
line = f"{ship}: {3:02d}\n"  #> line="Tern's deck: 03\\n"
letters = list("ab")  #> letters=['a', 'b']
for letter in ship[:2]:  #> letter='T' ; letter='e' ; -
    letters.append(letter.upper())  #> letters=['a', 'b', 'T'] ; letters=['a', 'b', 'T', 'E']
raw = b"\x01a"  #> raw=b'\\x01a'
