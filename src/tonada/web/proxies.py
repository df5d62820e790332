"""What a proxy in front says of a request: believed only where the proxy is one that the operator named."""

from __future__ import annotations

from collections.abc import Iterable
from ipaddress import IPv4Network, IPv6Network, ip_address
from typing import TYPE_CHECKING, TypeAlias

from werkzeug.middleware.proxy_fix import ProxyFix

if TYPE_CHECKING:
    from _typeshed.wsgi import StartResponse, WSGIApplication, WSGIEnvironment

Network: TypeAlias = IPv4Network | IPv6Network


class NamedProxies:
    """Takes address, scheme and host from the headers of named proxies, and drops those of anybody else."""

    def __init__(self, app: WSGIApplication, proxies: tuple[Network, ...], *, https: bool) -> None:
        self._app, self._proxies, self._https = app, proxies, https

    def __call__(self, environ: WSGIEnvironment, start_response: StartResponse) -> Iterable[bytes]:
        """Answer a request as the one that the proxy was asked for."""
        if self._https:
            environ["wsgi.url_scheme"] = "https"
        if not self._is_named(environ.get("REMOTE_ADDR", "")):
            for name in [name for name in environ if name.startswith("HTTP_X_FORWARDED_")]:
                del environ[name]
            return self._ask(environ, start_response)
        hops = 1 + self._named_at_the_end(environ.get("HTTP_X_FORWARDED_FOR", ""))
        fixed = ProxyFix(self._ask, x_for=hops, x_proto=1, x_host=1)
        return fixed(environ, start_response)

    def _ask(self, environ: WSGIEnvironment, start_response: StartResponse) -> Iterable[bytes]:
        # Names of hosts have no case; the list of those that are answered is in small letters.
        environ["HTTP_HOST"] = environ.get("HTTP_HOST", "").lower()
        return self._app(environ, start_response)

    def _named_at_the_end(self, chain: str) -> int:
        """Return how many of the last addresses of a chain are named proxies themselves."""
        count = 0
        for address in reversed(chain.split(",")):
            if not self._is_named(address.strip()):
                break
            count += 1
        return count

    def _is_named(self, address: str) -> bool:
        try:
            found = ip_address(address)
        except ValueError:
            return False
        return any(found in network for network in self._proxies)
