"""Checks a Frictionless Data Package with nothing but Python's own zip, JSON and CSV readers, and prints its tables as JSON."""
import csv
import io
import json
import sys
import zipfile

cast = {"string": str, "integer": int, "number": float, "date": str}
with zipfile.ZipFile(sys.argv[1]) as package:
    about = json.loads(package.read("datapackage.json"))
    tables = {}
    for resource in about["resources"]:
        text = package.read(resource["path"]).decode(resource["encoding"])
        rows = list(csv.reader(io.StringIO(text, newline=""), delimiter=resource["dialect"]["delimiter"]))
        fields = resource["schema"]["fields"]
        assert rows[0] == [f["name"] for f in fields], rows[0]
        empty = resource["schema"]["missingValues"]
        tables[resource["name"]] = [
            [None if v in empty else cast[f["type"]](v) for v, f in zip(row, fields)] for row in rows[1:]
        ]
print(json.dumps({"schema": about["$schema"], "created": about["created"], "tables": tables}))
