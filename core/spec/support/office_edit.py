#!/usr/bin/python3
# Edits a DOCX or XLSX with LibreOffice as a reviser would: python3 office_edit.py IN OUT AUTHOR < EDITS, a JSON list of
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
            '<?xml version="1.0" encoding="UTF-8"?><oor:items xmlns:oor="http://openoffice.org/2001/registry">'
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


SOURCE, RESULT, AUTHOR = sys.argv[1:4]
EDITS = json.load(sys.stdin)

with tempfile.TemporaryDirectory() as folder:
    profile(folder, AUTHOR)
    pipe = f"glossema{os.getpid()}"
    office = subprocess.Popen(
        ["soffice", "--headless", "--invisible", "--norestore", "--nologo", f"--accept=pipe,name={pipe};urp;",
         f"-env:UserInstallation=file://{folder}"],
        stdout=subprocess.DEVNULL, stderr=subprocess.DEVNULL,
    )
    try:
        context = connected(pipe)
        desktop = context.ServiceManager.createInstanceWithContext("com.sun.star.frame.Desktop", context)
        document = desktop.loadComponentFromURL(uno.systemPathToFileUrl(os.path.abspath(SOURCE)), "_blank", 0,
                                                (prop("Hidden", True),))
        editing = (EditingWorkbook if SOURCE.endswith("xlsx") else Editing)(context, document)
        for name, *arguments in EDITS:
            getattr(editing, name)(*arguments)
        document.storeToURL(uno.systemPathToFileUrl(os.path.abspath(RESULT)),
                            (prop("FilterName", editing.FILTER),))
        document.close(True)
        try:
            desktop.terminate()
        except Exception:
            pass
    finally:
        office.terminate()
        office.wait(10)
