"""Prints the first sheet of a spreadsheet as JSON, read by openpyxl: an independent reader for the tests of the exports."""
import datetime
import json
import sys

import openpyxl

sheet = openpyxl.load_workbook(sys.argv[1], read_only=True).worksheets[0]


def plain(value):
    return value.date().isoformat() if isinstance(value, datetime.datetime) else value


print(json.dumps([[plain(v) for v in row] for row in sheet.iter_rows(values_only=True)]))
