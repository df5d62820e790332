"""How colours look to other eyes."""
