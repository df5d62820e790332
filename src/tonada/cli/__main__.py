"""`python -m tonada.cli` is the command `tonada`."""

import sys

from tonada.cli import main

sys.exit(main())
