print("\x1b[2J\x07<script>alert(1)</script>\x00\x9b31m")
