#!/bin/bash
# Installs the Debian package into a fresh system, starts the program there with a new library, and removes it again.
# Needs root and debootstrap; takes a few minutes and about a gigabyte, which is given back. Usage: check-package.sh DEB
set -euo pipefail
deb=$1
root=$(mktemp -d)
trap 'rm -rf --one-file-system "$root"' EXIT

# From where this computer itself takes its packages.
mirror=$(apt-get indextargets --format '$(REPO_URI)' 'Created-By: Packages' | head -n 1)
echo "Making a fresh system …"
debootstrap --variant=minbase "$(. /etc/os-release && echo "$VERSION_CODENAME")" "$root" "$mirror" > "$root.log" 2>&1 ||
  { tail "$root.log"; exit 1; }
rm -f "$root.log"
for part in sources.list sources.list.d apt.conf.d trusted.gpg.d keyrings; do
  [ ! -e "/etc/apt/$part" ] || cp -r "/etc/apt/$part" "$root/etc/apt/"
done
cp "$deb" "$root/tmp/riflesso.deb"
within() { chroot "$root" env DEBIAN_FRONTEND=noninteractive LC_ALL=C.UTF-8 HOME=/tmp/home QT_QPA_PLATFORM=offscreen "$@"; }

echo "Installing …"
within apt-get update -qq
within apt-get install -y -qq --no-install-recommends /tmp/riflesso.deb > /dev/null 2>&1

echo "Starting …"
within riflesso-cli --version
status=0
within timeout 15 riflesso > "$root/tmp/said" 2>&1 || status=$?
if [ "$status" -ne 124 ]; then # it should still be running then
  cat "$root/tmp/said"
  echo "the program ended by itself ($status)"
  exit 1
fi
library=$(find "$root/tmp/home" -name library.sqlite)
[ -n "$library" ] || { cat "$root/tmp/said"; echo "no library was made at the first start"; exit 1; }

echo "Removing …"
within apt-get remove -y -qq riflesso > /dev/null 2>&1
left=$(find "$root/usr" "$root/etc" -iname '*riflesso*')
[ -z "$left" ] || { echo "$left"; echo "these were left behind"; exit 1; }
[ -f "$library" ] || { echo "the user's library went with the program"; exit 1; }
echo "The package installs, starts and goes; the library stays."
