/** Names of the office's open interface and of its Basic that macros use, beside those of any Basic. */
export const officeWords: readonly string[] = (
  "PI ThisComponent StarDesktop BasicLibraries GlobalScope createUnoService createUnoStruct createUnoListener getDefaultContext Sheets CurrentController ActiveSheet CurrentSelection " +
  "getByIndex getByName getCount hasByName insertNewByName removeByName getCellByPosition getCellRangeByName getCellRangeByPosition getDataArray setDataArray getString setString " +
  "getValue setValue getFormula setFormula getElementNames createCursor gotoEndOfUsedArea getRangeAddress getCellAddress clearContents calculateAll Name Value String Formula Type Count " +
  "CellBackColor CharColor CharWeight CharHeight NumberFormat HoriJustify IsVisible Rows Columns RangeAddress CellAddress EndRow EndColumn StartRow StartColumn Column Row DataArray " +
  "TypeName VarType IsArray IsDate IsMissing IsNull IsObject IsUnoStruct CBool CDate CSng CVar CByte Hex Oct Exp Log Sin Cos Tan Atn LTrim RTrim StrComp String Space InStrRev StrReverse " +
  "DateSerial DateValue TimeValue TimeSerial Day Month Year Hour Minute Second WeekDay Timer Wait WaitUntil GetSystemTicks RGB Red Green Blue QBColor Iif Choose Switch EqualUnoObjects " +
  "Err Erl Format Dir FileExists FreeFile Environ Shell Beep DimArray HasUnoInterfaces ConvertToURL ConvertFromURL LBound UBound Array Randomize CurDir ChDir MkDir Kill Date Time Now " +
  "Round MsgBox InputBox Len Mid Left Right"
).split(" ");

/** Routines of the library that can be called: anything else that is called must be a routine or an array of the program. */
export const macroRoutines: ReadonlySet<string> = new Set(
  (
    "abs array asc atn beep bluecolor blue cbool cbyte ccur cdate cdbl chdir chdrive choose chr chrw ascw cint clng cos createobject createunodialog createunolistener createunoservice createunostruct createunovalue " +
    "csng cstr curdir cvar cverr date dateadd datediff datepart dateserial datevalue day dimarray dir environ eof equalunoobjects erl err error exp fileattr filecopy filedatetime fileexists filelen findobject " +
    "findpropertyobject fix format freefile freelibrary getattr getdefaultcontext getguitype getpathseparator getprocessservicemanager getsolarversion getsystemticks globalscope green hasunointerfaces hex hour iif " +
    "inputbox instr instrrev int isarray isdate isempty iserror ismissing isnull isnumeric isobject isunostruct join kill lbound lcase left len lof loc log lset ltrim mid minute mkdir month msgbox name now oct partition pv " +
    "qbcolor randomize red redim replace rgb right rmdir rnd rset rtrim second seek sendkeys setattr sgn shell sin space spc split sqr str strcomp strconv string strreverse switch tab tan time timer timeserial timevalue " +
    "trim twipsperpixelx twipsperpixely typename ubound ucase val vartype wait waituntil weekday weekdayname year basiclibraries dialoglibraries thiscomponent thisdatabasedocument stardesktop cdatetoiso cdatefromiso " +
    "cdatetounodate cdatefromunodate formatdatetime monthname mirr irr npv nper fv ddb rate pmt ppmt ipmt sln syd formatnumber round"
  ).split(" "),
);
