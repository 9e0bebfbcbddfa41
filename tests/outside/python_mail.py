"""Reads length-prefixed raw messages from standard input with Python's email package and writes one JSON object a line."""

import email
import email.policy
import email.utils
import json
import struct
import sys


def text_of(message):
    part = message.get_body(preferencelist=("plain",))
    if part is None:
        return None
    try:
        return part.get_content()
    except (LookupError, KeyError, UnicodeError):
        return None


def describe(raw):
    message = email.message_from_bytes(raw, policy=email.policy.default)
    compat = email.message_from_bytes(raw)
    try:
        date = email.utils.parsedate_to_datetime(compat["Date"])
        at, offset = int(date.timestamp()), str(date)[-6:] if date.tzinfo else "naive"
    except (TypeError, ValueError):
        at, offset = None, None
    try:
        subject = str(message["Subject"] or "")
    except Exception:
        subject = None
    address = email.utils.parseaddr(str(compat["From"] or ""))[1].lower()
    return {
        "at": at,
        "offset": offset,
        "from": address,
        "to": [a.lower() for _, a in email.utils.getaddresses([str(v) for v in compat.get_all("To", [])])],
        "subject": subject,
        "text": text_of(message),
        "attachments": len([p for p in message.walk() if p.get_content_disposition() == "attachment"]),
        "filenames": [p.get_filename() for p in message.walk() if p.get_content_disposition() == "attachment"],
        "messageId": (compat["Message-ID"] or "").strip(),
    }


data = sys.stdin.buffer.read()
at = 0
while at < len(data):
    (size,) = struct.unpack(">I", data[at : at + 4])
    try:
        print(json.dumps(describe(data[at + 4 : at + 4 + size])))
    except Exception as error:  # the reader under test must not depend on the judge's own faults
        print(json.dumps({"fault": repr(error)}))
    at += 4 + size
