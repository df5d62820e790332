"""The job itself: pure computation. Nothing here knows of Flask, SQL, files, clocks or chance."""
