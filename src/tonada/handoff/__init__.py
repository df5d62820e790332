"""What a version is handed off as: files, sheets for the client, an archive with everything.

files           every file by name, pictures and the archive among them
client_sheet    HTML, and PDF from the same page
press_profile   the press profile of the machine
"""
