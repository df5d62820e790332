"""Mails about reviews: how they read, and the way out by SMTP. Nothing here knows a database."""
