system ("setsid sh -c 'sleep 1; echo late > /case/late; while true; do :; done' &");
disp ("first")
quit (5)
