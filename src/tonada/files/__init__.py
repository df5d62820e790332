"""The files of a version: values in every format, sheets for the client, an archive with everything.

kinds           every kind of file by its name       file_format     what a kind of file is
client_sheet    HTML, and PDF from the same page     press_profile   the press profile of the machine
"""
