"""Expands recurrence rules with python-dateutil and prints the days as JSON: one list a line of the input (rule, tab, first day)."""
import json
import sys
from datetime import datetime
from itertools import islice

from dateutil.rrule import rrulestr

out = []
for line in sys.stdin.read().splitlines():
    rule, first = line.split("\t")
    series = rrulestr(rule, dtstart=datetime.fromisoformat(first))
    out.append([one.date().isoformat() for one in islice(series, 40)])
print(json.dumps(out))
