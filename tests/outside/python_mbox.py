"""Cuts the mbox named on the command line with Python's mailbox package; prints the SHA-256 of each message's bytes."""

import hashlib
import mailbox
import sys

for key in (box := mailbox.mbox(sys.argv[1])).keys():
    print(hashlib.sha256(box.get_bytes(key)).hexdigest())
