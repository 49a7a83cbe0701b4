class Boat:  #> - ; -
    def __init__(self, cars):  #> - ; Boat.__init__.self=Boat() & Boat.__init__.cars=3
        self.cars = cars  #> Boat.__init__.self=Boat(cars=3)
        self.log = []  #> Boat.__init__.self=Boat(cars=3, log=[])

    def load(self, more):  #> - ; load.self=Boat(cars=3, log=[]) & load.more=2
        self.cars += more  #> load.self=Boat(cars=5, log=[]) & tern=Boat(cars=5, log=[])
        self.log.append(more)  #> load.self=Boat(cars=5, log=[2]) & tern=Boat(cars=5, log=[2])
        return self  #> -


tern = Boat(3)  #> - ; tern=Boat(cars=3, log=[])
tern.load(2)  #> - ; -
fleet = [tern]  #> fleet=[Boat(cars=5, log=[2])]
tern.cars = 1  #> fleet=[Boat(cars=1, log=[2])] & tern=Boat(cars=1, log=[2])


class Rope:  #> - ; -
    def __init__(self):  #> - ; Rope.__init__.self=Rope()
        self.length = 4  #> Rope.__init__.self=Rope(length=4)


rope = Rope()  #> - ; rope=Rope(length=4)
rope.length = 9  #> rope=Rope(length=9)
