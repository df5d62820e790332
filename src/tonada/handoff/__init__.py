"""What a version is handed off as: files, sheets for the client, an archive with everything.

files     every format by name          client_sheet   HTML, and PDF from the same page
picture   PNG of the swatches           archive        a zip with all of them
press     the press profile of the machine
"""
