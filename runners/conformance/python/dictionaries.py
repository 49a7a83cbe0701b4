seats = {}  #> seats={}
seats["Tern"] = 2  #> seats={'Tern': 2}
seats["Gull"] = [1]  #> seats={'Tern': 2, 'Gull': [1]}
seats["Gull"].append(5)  #> seats={'Tern': 2, 'Gull': [1, 5]}
seats["Tern"] += 1  #> seats={'Tern': 3, 'Gull': [1, 5]}
for ship, value in seats.items():  #> ship='Tern' & value=3 ; ship='Gull' & value=[1, 5] ; -
    print(ship)  #> out=Tern\n ; out=Gull\n
gone = seats.pop("Tern")  #> seats={'Gull': [1, 5]} & gone=3
del seats["Gull"]  #> seats={}
