#!/usr/bin/python3
# Edits DOCX and XLSX with LibreOffice as a reviser would. Each line of the input is a JSON list of the path
# in, the path out, the author and the edits; each is answered by a line: null, or what went wrong.
# LibreOffice is started once for each author, and ended with the input. The edits:
#   ["track", true|false]            changes are recorded from here on
#   ["replace", from, to]            in the whole text, as written
#   ["remove_row", number], ["add_row", text]    rows of the table, from 0
#   ["bold", cell]                   of the first table ("C3"): formatting alone
#   ["accept"], ["reject"]           all recorded changes
#   ["move_row", from, to]           cut out, and put in elsewhere, by the clipboard
# or of the first sheet of a workbook, as far as its protection lets one:
#   ["write", cell, text], ["comment", cell, text]
#   ["unprotect"], ["remove_row", number], ["add_row", text], ["add_column", number], ["move_row", from, to]
import json
import os
import subprocess
import sys
import tempfile
import time

import uno
from com.sun.star.beans import PropertyValue


def prop(name, value):
    made = PropertyValue()
    made.Name, made.Value = name, value
    return made


def profile(folder, author):
    given, _, family = author.partition(" ")
    user = os.path.join(folder, "user")
    os.makedirs(user)
    path = "/org.openoffice.UserProfile/Data"
    rows = "".join(
        f'<item oor:path="{path}"><prop oor:name="{name}" oor:op="fuse"><value>{value}</value></prop></item>'
        for name, value in (("givenname", given), ("sn", family))
    )
    with open(os.path.join(user, "registrymodifications.xcu"), "w") as file:
        file.write(
            '<?xml version="1.0" encoding="UTF-8"?>'
            '<oor:items xmlns:oor="http://openoffice.org/2001/registry">'
            f"{rows}</oor:items>"
        )


def connected(pipe):
    local = uno.getComponentContext()
    resolver = local.ServiceManager.createInstanceWithContext("com.sun.star.bridge.UnoUrlResolver", local)
    for _ in range(120):
        try:
            return resolver.resolve(f"uno:pipe,name={pipe};urp;StarOffice.ComponentContext")
        except Exception:
            time.sleep(0.25)
    raise SystemExit("LibreOffice did not answer")


class Editing:
    FILTER = "MS Word 2007 XML"

    def __init__(self, context, document):
        manager = context.ServiceManager
        self.document = document
        self.dispatcher = manager.createInstanceWithContext("com.sun.star.frame.DispatchHelper", context)
        self.table = document.TextTables.getByIndex(0)

    def dispatch(self, command, *arguments):
        frame = self.document.CurrentController.Frame
        self.dispatcher.executeDispatch(frame, command, "", 0, tuple(arguments))

    def track(self, on):
        self.document.RecordChanges = on

    def replace(self, old, new):
        search = self.document.createReplaceDescriptor()
        search.SearchString, search.ReplaceString = old, new
        search.SearchCaseSensitive = True
        if not self.document.replaceAll(search):
            raise SystemExit(f"“{old}” is not in the text")

    def bold(self, cell):
        cursor = self.table.getCellByName(cell).createTextCursor()
        cursor.gotoEnd(True)
        cursor.CharWeight = 150

    def remove_row(self, number):
        self.table.Rows.removeByIndex(number, 1)

    def add_row(self, text):
        rows = self.table.Rows
        rows.insertByIndex(rows.Count, 1)
        self.table.getCellByName(f"C{rows.Count}").setString(text)

    def select_row(self, number):
        controller = self.document.CurrentController
        cell = self.table.getCellByName(f"A{number + 1}")
        controller.select(cell)
        controller.ViewCursor.gotoStart(False)
        self.dispatch(".uno:EntireRow")

    def move_row(self, start, end):
        self.select_row(start)
        self.dispatch(".uno:Cut")
        self.select_row(end)
        self.document.CurrentController.ViewCursor.gotoStart(False)
        self.dispatch(".uno:Paste")

    def accept(self):
        self.dispatch(".uno:AcceptAllTrackedChanges")

    def reject(self):
        self.dispatch(".uno:RejectAllTrackedChanges")


class EditingWorkbook:
    FILTER = "Calc MS Excel 2007 XML"
    TARGET = 2

    def __init__(self, context, document):
        self.document = document
        self.sheet = document.Sheets.getByIndex(0)

    def used(self):
        cursor = self.sheet.createCursor()
        cursor.gotoEndOfUsedArea(False)
        return cursor.RangeAddress.EndRow + 1

    def write(self, cell, text):
        self.sheet.getCellRangeByName(cell).setString(text)

    def comment(self, cell, text):
        address = self.sheet.getCellRangeByName(cell).CellAddress
        self.sheet.Annotations.insertNew(address, text)

    def unprotect(self):
        self.sheet.unprotect("")

    def remove_row(self, number):
        self.sheet.Rows.removeByIndex(number, 1)

    def add_row(self, text):
        self.sheet.getCellByPosition(self.TARGET, self.used()).setString(text)

    def add_column(self, number):
        self.sheet.Columns.insertByIndex(number, 1)

    def move_row(self, start, end):
        self.sheet.Rows.insertByIndex(end, 1)
        moved = start + 1 if end <= start else start
        row = self.sheet.getCellRangeByPosition(0, moved, 6, moved)
        self.sheet.moveRange(self.sheet.getCellByPosition(0, end).CellAddress, row.RangeAddress)
        self.sheet.Rows.removeByIndex(moved, 1)


class Office:
    def __init__(self, author):
        self.folder = tempfile.TemporaryDirectory()
        profile(self.folder.name, author)
        pipe = f"glossema{os.getpid()}-{id(self)}"
        self.process = subprocess.Popen(
            [
                "soffice", "--headless", "--invisible", "--norestore", "--nologo",
                f"--accept=pipe,name={pipe};urp;", f"-env:UserInstallation=file://{self.folder.name}",
            ],
            stdout=subprocess.DEVNULL, stderr=subprocess.DEVNULL,
        )
        self.context = connected(pipe)
        services = self.context.ServiceManager
        self.desktop = services.createInstanceWithContext("com.sun.star.frame.Desktop", self.context)

    def edit(self, source, result, edits):
        url = uno.systemPathToFileUrl(os.path.abspath(source))
        document = self.desktop.loadComponentFromURL(url, "_blank", 0, (prop("Hidden", True),))
        try:
            editing = (EditingWorkbook if source.endswith("xlsx") else Editing)(self.context, document)
            for name, *arguments in edits:
                getattr(editing, name)(*arguments)
            document.storeToURL(uno.systemPathToFileUrl(os.path.abspath(result)),
                                (prop("FilterName", editing.FILTER),))
        finally:
            document.close(True)

    def end(self):
        try:
            self.desktop.terminate()
        except Exception:
            pass
        self.process.terminate()
        self.process.wait(10)
        self.folder.cleanup()


offices = {}
try:
    for line in sys.stdin:
        source, result, author, edits = json.loads(line)
        said = None
        try:
            if author not in offices:
                offices[author] = Office(author)
            offices[author].edit(source, result, edits)
        except (Exception, SystemExit) as error:
            said = str(error) or type(error).__name__
        print(json.dumps(said), flush=True)
finally:
    for office in offices.values():
        office.end()
