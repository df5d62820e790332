"""Starting and stopping: the project's own PostgreSQL cluster and the web server."""
