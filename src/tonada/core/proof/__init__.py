"""The sample pages: grounds, sections, chart colours, typefaces."""
