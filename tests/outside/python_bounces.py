"""Prints the table of failed deliveries that flufl.bounce (Debian's python3-flufl.bounce) is tested with, as JSON lines."""
import ast
import base64
import json
import os

import flufl.bounce

HOME = os.path.dirname(flufl.bounce.__file__)
TREE = ast.parse(open(os.path.join(HOME, "testing/helpers.py"), encoding="utf-8").read())
TABLE = next(
    node.value for node in ast.walk(TREE) if isinstance(node, ast.Assign) and getattr(node.targets[0], "id", "") == "DATA"
)
for row in TABLE.elts:
    by, name, expected = [ast.literal_eval(cell) for cell in row.elts[:3]]
    delayed = len(row.elts) > 3 and bool(ast.literal_eval(row.elts[3]))
    with open(os.path.join(HOME, "tests/data", name), "rb") as file:
        raw = base64.b64encode(file.read()).decode()
    print(json.dumps({"by": by, "name": name, "addresses": [a.decode() for a in expected], "delayed": delayed, "raw": raw}))
