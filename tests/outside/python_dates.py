"""Reads days in words with parsedatetime (Debian python3-parsedatetime): phrases on the lines of standard input, counted
from the day and time given as "YYYY-MM-DD HH:MM"; prints a day a line, or "-" where none is found."""

import datetime
import sys

import parsedatetime

source = datetime.datetime.strptime(sys.argv[1], "%Y-%m-%d %H:%M")
calendar = parsedatetime.Calendar(version=parsedatetime.VERSION_CONTEXT_STYLE)
for phrase in sys.stdin.read().strip().split("\n"):
    found, context = calendar.parseDT(phrase, sourceTime=source)
    print(found.date().isoformat() if context.hasDate else "-")
