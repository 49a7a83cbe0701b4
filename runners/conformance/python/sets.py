ports = {3}  #> ports={3}
ports.add(1)  #> ports={1, 3}
ports.add(3)  #> -
ports |= {2}  #> ports={1, 2, 3}
other = ports  #> other={1, 2, 3}
ports.discard(1)  #> ports={2, 3} & other={2, 3}
empty = set()  #> empty=set()
fixed = frozenset([1])  #> fixed=frozenset({1})
