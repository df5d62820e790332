"""Every limit on what comes in, in one place."""

from typing import Final

MAX_FILE_BYTES: Final = 20 * 1024 * 1024
MAX_PIXELS: Final = 50_000_000
MAX_SVG_ELEMENTS: Final = 20_000
# Elements that `use` draws again and again; a few nested ones could ask for billions.
MAX_SVG_DRAWN_ELEMENTS: Final = 100_000
MAX_SVG_DEPTH: Final = 200
MAX_SVG_ATTRIBUTES: Final = 100_000
MAX_SVG_PATH_CHARACTERS: Final = 3_000_000
MAX_SVG_RULES_TIMES_ELEMENTS: Final = 1_000_000
MAX_SVG_FILTER_PRIMITIVES: Final = 10
MAX_SVG_USED_PRIMITIVES: Final = 60
MAX_SVG_OCTAVES: Final = 6
MAX_SVG_CONVOLUTION: Final = 7
MAX_SVG_COLORS: Final = 5_000
# Pictures inside an SVG, all together; one alone may have MAX_PIXELS like any other.
MAX_SVG_EMBEDDED_PIXELS: Final = 12_000_000
# Eight times what encoders write; a progressive JPEG has about ten scans.
MAX_PNG_CHUNKS: Final = 20_000
MAX_JPEG_SCANS: Final = 100

# What reading a file may take, in a process of its own: while somebody waits, and in the background.
READING_CPU_SECONDS: Final = 2.0
READING_SECONDS: Final = 10.0
READING_MEMORY_BYTES: Final = 176 * 2**20
# Of a picture that was read before: what it takes is known not to be without end.
READING_AGAIN_CPU_SECONDS: Final = 10.0
READING_AGAIN_SECONDS: Final = 30.0
# A font is packed anew, in which nothing is spared.
FONT_CPU_SECONDS: Final = 25.0
FONT_SECONDS: Final = 75.0
LONG_READING_CPU_SECONDS: Final = 20.0
LONG_READING_SECONDS: Final = 90.0
LONG_READING_MEMORY_BYTES: Final = 208 * 2**20
READING_OUTPUT_BYTES: Final = 64 * 2**20
# Who waits longer for a turn is asked to come again.
READING_WAIT_SECONDS: Final = 20.0

# A stylesheet or a page, or several of them together; a list of colours.
MAX_STYLESHEET_BYTES: Final = 3 * 1024 * 1024
MAX_STYLESHEET_FILES: Final = 20
# One that is put into other colours travels as JSON, see MAX_JSON_BYTES.
MAX_RESTYLED_CHARACTERS: Final = 300_000
MAX_STYLESHEET_COLORS: Final = 400
# Of a stylesheet whose rules are compared before and after: twice the cascade.
MAX_COMPARED_CHARACTERS: Final = 1_000_000
MAX_LIST_BYTES: Final = 1024 * 1024
MAX_LIST_COLORS: Final = 2_000
MAX_LIST_WARNINGS: Final = 50
MAX_PICKED_COLORS: Final = 24
# All colours that a source can have: a list, and what was picked beside it.
MAX_SOURCE_COLORS: Final = MAX_LIST_COLORS + MAX_PICKED_COLORS
MAX_MOOD_WORDS: Final = 3

# Ready-made palettes: of a studio, in one file, and what one is asked for by.
MAX_OWN_PALETTES: Final = 20_000
MAX_FILE_PALETTES: Final = 2_000
MAX_PALETTE_TAGS: Final = 12
MAX_TAG_LENGTH: Final = 40
MAX_NOTES: Final = 3
MAX_HELD_TO_MATCH: Final = 12
MAX_PALETTE_WORDS: Final = 120
MAX_SHOWN_PALETTES: Final = 60

# Reviews: what is shown, and what clients may add to one.
MAX_REVIEW_TAKES: Final = 4
MAX_GREETING_LENGTH: Final = 600
MAX_REVIEW_LINKS: Final = 40
MAX_REMARK_LENGTH: Final = 2_000
MAX_REMARKS: Final = 1_000
MAX_REVIEW_EVENTS: Final = 2_000
# Of one review that was sent as a file.
MAX_ANSWERS_CHARACTERS: Final = 400_000
# One's own words may be changed for so long.
EDITABLE_MINUTES: Final = 10
# In a row, by one link; then none is taken for a quarter of an hour.
WRONG_PASSPHRASES: Final = 10

MAX_SWATCHES: Final = 48
MAX_PAIRS: Final = 200
# Of a file, in both schemes: those of a take, and each text on each ground.
MAX_FILE_PAIRS: Final = 1_000
MAX_ROLES: Final = 40
MAX_NEUTRALS: Final = 6
MAX_OVERLAYS: Final = 24
MAX_LAYERS: Final = 4
# Six of the rule, and the designer's own.
MAX_GROUNDS: Final = 18
MAX_SECTIONS: Final = 80
# Deleted takes of a brand that are offered to be brought back.
MAX_SHOWN_REMOVED: Final = 20
# Of what may be typed in place of a sample page's own words: characters of each, and how many.
MAX_PAGE_WORDS: Final = 600
MAX_OWN_TEXTS: Final = 300
# In places of sample pages.
MAX_PLACED_PICTURES: Final = 40
# Fonts of a brand: each file as it comes and as it is kept, what it may unpack to, and how many.
MAX_FONT_BYTES: Final = 2 * 1024 * 1024
MAX_FONT_UNPACKED_BYTES: Final = 16 * 1024 * 1024
MAX_FONTS: Final = 24
# Of a destination; chosen slots of all destinations; destinations of a workspace are counted by nobody.
MAX_SLOTS: Final = 64
MAX_CHOSEN_SLOTS: Final = 400
MAX_NAME_LENGTH: Final = 80
MAX_REASON_LENGTH: Final = 300
MAX_FOUND_COLORS: Final = 12

# Of a column of integers.
LARGEST_INTEGER: Final = 2**31 - 1
# Longer than the document of a take with everything above at its limit.
MAX_JSON_BYTES: Final = 512 * 1024

# An archive of a whole brand: as it comes, unpacked, and what it may hold.
MAX_ARCHIVE_BYTES: Final = 60 * 1024 * 1024
MAX_ARCHIVE_UNPACKED_BYTES: Final = 160 * 1024 * 1024
MAX_ARCHIVE_RECORD_BYTES: Final = 32 * 1024 * 1024
# Objects and lists of its record.
MAX_ARCHIVE_PARTS: Final = 500_000
MAX_ARCHIVE_FILES: Final = 400
MAX_ARCHIVED_SOURCES: Final = 200
MAX_ARCHIVED_TAKES: Final = 100
MAX_ARCHIVED_VERSIONS: Final = 2_000
MAX_ARCHIVED_REVIEWS: Final = 100
MAX_ARCHIVED_READERS: Final = 1_000
MAX_ARCHIVED_EVENTS: Final = 20_000
