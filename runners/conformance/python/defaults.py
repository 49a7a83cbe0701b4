def note(word, log=[]):  #> - ; note.word='low' & note.log=[] ; note.word='high' & note.log=['low']
    log.append(word)  #> note.log=['low'] ; note.log=['low', 'high']
    return len(log)  #> - ; -


first = note("low")  #> - ; first=1
second = note("high")  #> - ; second=2
