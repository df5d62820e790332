#!/usr/bin/env bash
# Installs the Debian packages that are missing: always what running needs, with --tests what the tests need.
set -u
cd "$(dirname "$0")/.." || exit 1
# Two at once would trip over each other; the second one finds everything there.
exec 9<scripts/system-packages.sh && flock 9 || exit 1
missing=()

python3 -c 'import ensurepip, venv, sys; sys.exit(sys.version_info < (3, 11))' 2>/dev/null || missing+=(python3 python3-venv)
if [ -z "${DATABASE_URL:-}" ] || [ "${1:-}" = "--tests" ]; then
  compgen -G '/usr/lib/postgresql/*/bin/postgres' >/dev/null || missing+=(postgresql)
fi
# What the PDF sheet is set with, and the press profile for CMYK.
compgen -G '/usr/lib/*/libpangoft2-1.0.so.0' >/dev/null || missing+=(libpango-1.0-0 libpangoft2-1.0-0 libharfbuzz-subset0)
# Letters of names in all alphabets, and in Chinese, Japanese and Korean.
[ -e /usr/share/fonts/truetype/noto/NotoSansThai-Regular.ttf ] || missing+=(fonts-noto-core)
[ -e /usr/share/fonts/opentype/noto/NotoSansCJK-Bold.ttc ] || missing+=(fonts-noto-cjk)
[ -e /usr/share/color/icc/ghostscript/default_cmyk.icc ] || missing+=(libgs-common)
[ -e /etc/ssl/certs/ca-certificates.crt ] || missing+=(ca-certificates)
if [ "${1:-}" = "--tests" ]; then
  # Without its windows, Chromium draws a page in half the time.
  command -v chromium-headless-shell >/dev/null || missing+=(chromium-headless-shell)
  command -v git >/dev/null || missing+=(git)
  command -v pdftotext >/dev/null || missing+=(poppler-utils)
  # The Node inside Playwright's driver is linked to it, and Debian's base has it not.
  compgen -G '/usr/lib/*/libatomic.so.1' >/dev/null || missing+=(libatomic1)
  # The other browsers, and what their drivers need.
  command -v firefox-esr >/dev/null || missing+=(firefox-esr)
  command -v WebKitWebDriver >/dev/null || missing+=(webkit2gtk-driver)
  command -v Xvfb >/dev/null || missing+=(xvfb)
  # What stands in front of a server, and counts for several of them.
  command -v nginx >/dev/null || [ -x /usr/sbin/nginx ] || missing+=(nginx-light)
  command -v redis-server >/dev/null || missing+=(redis-server)
  # What draws the slides; large, so the long run alone has it.
  [ "${TONADA_TESTS:-}" != long ] || command -v soffice >/dev/null || missing+=(libreoffice-impress)
fi
[ ${#missing[@]} -eq 0 ] && exit 0

command -v apt-get >/dev/null || { echo "Tonada needs these Debian packages and there is no apt-get here: ${missing[*]}" >&2; exit 1; }
as_root=()
if [ "$(id -u)" -ne 0 ]; then
  command -v sudo >/dev/null || { echo "Tonada needs these Debian packages; install them as root: ${missing[*]}" >&2; exit 1; }
  as_root=(sudo)
fi
echo "Installing Debian packages: ${missing[*]} …"
log=$(mktemp)
# Nothing that is installed here is to run as a service of the machine.
install='
  if [ ! -e /usr/sbin/policy-rc.d ]; then
    trap "rm -f /usr/sbin/policy-rc.d" EXIT
    printf "#!/bin/sh\nexit 101\n" >/usr/sbin/policy-rc.d && chmod 755 /usr/sbin/policy-rc.d || exit 1
  fi
  apt-get update -q && DEBIAN_FRONTEND=noninteractive apt-get install -q -y --no-install-recommends "$@"'
is_held() { grep -qE '^E: (Could not get lock|Unable to (lock|acquire))' "$log"; }
waits=0
until "${as_root[@]}" sh -c "$install" sh "${missing[@]}" >"$log" 2>&1 9>&-; do
  # A new machine may be busy with its own packages: their turn takes minutes, not hours.
  if is_held && [ $((waits += 1)) -le 60 ]; then
    [ "$waits" -gt 1 ] || echo "Another program is installing packages; waiting for it …"
    sleep 5
    continue
  fi
  echo "apt-get could not install ${missing[*]}: $(grep -E '^E:' "$log" | head -n 1) (whole output: $log)" >&2
  exit 1
done
rm -f "$log"
