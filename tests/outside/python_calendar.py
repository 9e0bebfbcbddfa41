"""Reads a calendar with Debian's python3-icalendar and prints what it finds as JSON."""
import json
import sys

from icalendar import Calendar

root = Calendar.from_ical(sys.stdin.buffer.read())
out = []
for part in root.walk():
    if part.name not in ("VEVENT", "VTODO"):
        continue
    row = {"name": part.name, "errors": [str(e) for e in getattr(part, "errors", [])]}
    for key in ("UID", "SUMMARY", "DESCRIPTION", "STATUS", "PRIORITY", "URL", "TRANSP"):
        if key in part:
            row[key] = str(part[key]) if not isinstance(part[key], int) else int(part[key])
    if "ATTENDEE" in part:
        row["ATTENDEE"] = [str(part["ATTENDEE"]), dict(part["ATTENDEE"].params)]
    if "ORGANIZER" in part:
        row["ORGANIZER"] = str(part["ORGANIZER"])
    if "SEQUENCE" in part:
        row["SEQUENCE"] = int(part["SEQUENCE"])
    for key in ("DTSTART", "DTEND", "DUE", "COMPLETED", "DTSTAMP", "CREATED"):
        if key in part:
            row[key] = part[key].dt.isoformat()
    out.append(row)
print(json.dumps({"version": str(root["VERSION"]), "prodid": str(root["PRODID"]), "method": str(root.get("METHOD", "")), "parts": out}))
