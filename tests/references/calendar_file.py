"""Reads an iCalendar file with the package icalendar and prints its events."""
import json, sys
from icalendar import Calendar

events = []
with open(sys.argv[1], "rb") as f:
    for e in Calendar.from_ical(f.read()).walk("VEVENT"):
        events.append({"uid": str(e["UID"]), "sequence": int(e["SEQUENCE"]), "day": e["DTSTART"].dt.isoformat(),
                       "summary": str(e["SUMMARY"]), "description": str(e.get("DESCRIPTION", "")), "status": str(e["STATUS"])})
print(json.dumps({"events": events}))
