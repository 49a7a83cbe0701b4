"""Makes a profile for an office without a screen and becomes that office, which begins with bent_nail_macro.py (one process, nobody else's).

    start.py ORDER      a JSON text, see bent_nail_macro.Host

What the office keeps lies below /tmp/build, where nothing of a program's is looked for.
"""
import os
import sys

HOME = "/tmp/build/office%d" % os.getpid()
PROGRAM = "/usr/lib/libreoffice/program"
HERE = os.path.dirname(os.path.abspath(__file__))

LIBRARIES = """<?xml version="1.0" encoding="UTF-8"?>
<!DOCTYPE library:libraries PUBLIC "-//OpenOffice.org//DTD OfficeDocument 1.0//EN" "libraries.dtd">
<library:libraries xmlns:library="http://openoffice.org/2000/library" xmlns:xlink="http://www.w3.org/1999/xlink">
 <library:library library:name="Standard" xlink:href="$(USER)/basic/Standard/%s.xlb/" xlink:type="simple" library:link="false"/>
</library:libraries>
"""
LIBRARY = """<?xml version="1.0" encoding="UTF-8"?>
<!DOCTYPE library:library PUBLIC "-//OpenOffice.org//DTD OfficeDocument 1.0//EN" "library.dtd">
<library:library xmlns:library="http://openoffice.org/2000/library" library:name="Standard" library:readonly="false" library:passwordprotected="false">%s</library:library>
"""
MODULE = """<?xml version="1.0" encoding="UTF-8"?>
<!DOCTYPE script:module PUBLIC "-//OpenOffice.org//DTD OfficeDocument 1.0//EN" "module.dtd">
<script:module xmlns:script="http://openoffice.org/2000/script" script:name="Start" script:language="StarBasic">Sub Start
  Dim maker As Object
  maker = createUnoService("com.sun.star.loader.Python").activate("bent.nail.Host", "", "file://%s/bent_nail_macro.py", Nothing)
  maker.createInstanceWithContext(getDefaultContext()).execute(Array())
End Sub
</script:module>
"""
SETTINGS = """<?xml version="1.0" encoding="UTF-8"?>
<oor:items xmlns:oor="http://openoffice.org/2001/registry" xmlns:xs="http://www.w3.org/2001/XMLSchema" xmlns:xsi="http://www.w3.org/2001/XMLSchema-instance">
<item oor:path="/org.openoffice.Setup/L10N"><prop oor:name="ooLocale" oor:op="fuse"><value>en-US</value></prop></item>
<item oor:path="/org.openoffice.Setup/Office"><prop oor:name="LastCompatibilityCheckID" oor:op="fuse"><value>%s</value></prop></item>
<item oor:path="/org.openoffice.Setup/Office"><prop oor:name="ooSetupInstCompleted" oor:op="fuse"><value>true</value></prop></item>
</oor:items>
"""

FONTS = """<?xml version="1.0"?>
<!DOCTYPE fontconfig SYSTEM "fonts.dtd">
<fontconfig><dir>/usr/share/fonts</dir><cachedir>%s/fonts</cachedir></fontconfig>
"""


def write(name, text):
    path = os.path.join(HOME, "user", name)
    os.makedirs(os.path.dirname(path), exist_ok=True)
    with open(path, "w", encoding="utf-8") as target:
        target.write(text)


def build_id():
    """By which the office knows that its extensions (there are none) were looked through, without which it starts twice."""
    with open(PROGRAM + "/versionrc", encoding="utf-8") as source:
        return next((line.partition("=")[2].strip() for line in source if line.startswith("buildid=")), "")


def main():
    write("fonts.conf", FONTS % HOME)
    # An office whose profile is complete copies nothing over it and does not start a second time.
    write("registrymodifications.xcu", SETTINGS % build_id())
    write("extensions/buildid", build_id())
    for kind in ("shared", "bundled"):
        write("extensions/%s/lastsynchronized" % kind, "1")
    write("basic/script.xlc", LIBRARIES % "script")
    write("basic/dialog.xlc", LIBRARIES % "dialog")
    write("basic/Standard/script.xlb", LIBRARY % ' <library:element library:name="Start"/>')
    write("basic/Standard/dialog.xlb", LIBRARY % "")
    write("basic/Standard/Start.xba", MODULE % HERE)
    environment = {
        **os.environ,
        "BENT_NAIL_MACRO": sys.argv[1],
        "HOME": HOME,
        "TMPDIR": "/tmp/build",
        "FONTCONFIG_FILE": HOME + "/user/fonts.conf",
        "SAL_USE_VCLPLUGIN": "svp",
        "PYTHONDONTWRITEBYTECODE": "1",
        # What was printed is told by descriptors 1 and 2; the office's own words are nobody's.
        "SAL_LOG": "-INFO-WARN",
    }
    os.execve(
        PROGRAM + "/soffice.bin",
        [
            *[PROGRAM + "/soffice.bin", "--headless", "--norestore", "--nologo", "--nodefault", "--nofirststartwizard", "--nolockcheck"],
            "-env:UserInstallation=file://" + HOME,
            "macro:///Standard.Start.Start",
        ],
        environment,
    )


main()
