"""The plain way beside runners/macro/bent_nail_macro.py: each text of a list is put into a fresh workbook, called and closed. Prints the seconds
that all of them took once the office was up."""
import json
import os
import time
import traceback

import unohelper
from com.sun.star.beans import PropertyValue
from com.sun.star.document.MacroExecMode import ALWAYS_EXECUTE_NO_WARN
from com.sun.star.task import XJob


def setting(name, value):
    made = PropertyValue()
    made.Name, made.Value = name, value
    return made


class Host(unohelper.Base, XJob):
    def __init__(self, context):
        self.desktop = context.ServiceManager.createInstanceWithContext("com.sun.star.frame.Desktop", context)

    def execute(self, given):
        try:
            texts = json.loads(os.environ["BENT_NAIL_MACRO"])
            begun = time.perf_counter()
            for text in texts:
                self.call(text)
            os.write(1, b"%f\n" % (time.perf_counter() - begun))
        except BaseException:
            os.write(2, traceback.format_exc().encode("utf-8", "replace"))
        os._exit(0)

    def call(self, text):
        document = self.desktop.loadComponentFromURL(
            "private:factory/scalc", "_blank", 0, (setting("Hidden", True), setting("MacroExecutionMode", ALWAYS_EXECUTE_NO_WARN)))
        libraries = document.BasicLibraries
        library = libraries.getByName("Standard") if libraries.hasByName("Standard") else libraries.createLibrary("Standard")
        library.insertByName("Module1", text)
        script = document.getScriptProvider().getScript("vnd.sun.star.script:Standard.Module1.Main?language=Basic&location=document")
        script.invoke((), (), ())
        document.close(True)


g_ImplementationHelper = unohelper.ImplementationHelper()
g_ImplementationHelper.addImplementation(Host, "bent.nail.Host", ("bent.nail.Host",))
