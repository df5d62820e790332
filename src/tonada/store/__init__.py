"""What is kept: PostgreSQL through psycopg, plain SQL, one module per aggregate.

Functions take the connection and the workspace, return frozen rows, and leave the transaction to
their caller.
"""
