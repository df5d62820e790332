"""Files from outside are read here: in a process of its own, which is ended when it takes too much.

bounded     one reading in a process with limits      work     what such a process can be asked for
taking_in   what an uploaded file becomes             results  what a source keeps of what was found
"""
